import { launchBrowser } from './browser.ts';
import { JOURNEYS } from './effort/journeys.ts';
import { walk } from './effort/walk.ts';
import throwAwayCluster from './setup/throwAwayCluster.ts';
import { openSite } from './setup/site.ts';

/**
 * What a job costs the hand: fixed jobs walked as a person would, each tap and each field counted, a select as two; scrolls and seconds
 * beside it. Printed as JSON rows for the benchmark (`npm run bench -- effort`), which runs this as a process of its own.
 */
const wanted = process.argv[2];
const closeCluster = await throwAwayCluster();
const site = await openSite();
const browser = await launchBrowser();
const rows = [];
try {
  for (const journey of JOURNEYS) {
    if (wanted !== undefined && !journey.name.includes(wanted)) continue;
    const { taps, fields, scrolls, seconds } = await walk(browser, site, journey);
    const effort = taps + fields;
    rows.push({
      what: `${journey.name}, ${journey.width} px`,
      measured: `${effort} (${taps} taps, ${fields} fields), ${scrolls} scrolls, ${seconds.toFixed(1)} s`,
      against: `at most ${journey.most} taps and fields`,
      ratio: effort / journey.most,
    });
  }
} finally {
  await browser.close();
  await site.close();
  await closeCluster();
}
process.stdout.write(`${JSON.stringify(rows)}\n`);
