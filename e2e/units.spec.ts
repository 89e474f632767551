import type { Page } from '@playwright/test';
import { US_CUSTOMARY } from '@white-ember/core/words';
import { SCREENS } from './setup/everyScreen.ts';
import { expect, signIn, test } from './setup/site.ts';

test.describe.configure({ mode: 'parallel' });

/** Units that nobody chose, with a figure or a comma before them, or alone in a label. */
const METRIC_LEFT =
  /(?:\d\s?|[,(]\s?|^)(°C|mbar|hPa|kPa|km\/h|km|g\/L|g\/s|m³\/h|kg|mm|N·m|€|mL|g|L)(?![\p{L}\p{N}/³·])/gmu;

/** What was typed by people is theirs, what a file is headed by is the file's, and a field or a choice names its own unit. */
const OWN_WORDS = '[data-own-words], [data-unit], option, textarea, code, pre';

/** All that is written on a page and said to a reader of the screen, without what is somebody's own. */
async function written(page: Page): Promise<string> {
  return page.evaluate((own) => {
    const parts: string[] = [];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const parent = node.parentElement;
      if (!parent || parent.closest(own) || parent.closest('script, style')) continue;
      parts.push(node.textContent ?? '');
    }
    for (const element of document.querySelectorAll('[aria-label], [title], [placeholder]'))
      if (!element.closest(own))
        for (const name of ['aria-label', 'title', 'placeholder'])
          parts.push(element.getAttribute(name) ?? '');
    return parts.join('\n');
  }, OWN_WORDS);
}

const A_WALK = 6;
for (const who of ['Tobin', 'Imke'] as const) {
  const screens = SCREENS.filter((screen) => (screen.who ?? 'Tobin') === who);
  for (let from = 0; from < screens.length; from += A_WALK) {
    const walk = screens.slice(from, from + A_WALK);
    test(`${who} reads US customary units only: ${walk.map(({ name }) => name).join(', ')}`, async ({
      page,
      site,
    }) => {
      await page.addInitScript((units) => {
        localStorage.setItem('white-ember preferences', JSON.stringify({ theme: 'daylight', units }));
      }, US_CUSTOMARY);
      await signIn(page, site, who);
      const left: string[] = [];
      for (const { name, open } of walk) {
        await open(page, site);
        await page.waitForLoadState('networkidle');
        for (const details of await page.locator('details:not([open]) > summary').all())
          await details.click({ timeout: 1000 }).catch(() => undefined);
        for (const line of (await written(page)).split('\n'))
          if (line.match(METRIC_LEFT)) left.push(`${name}: ${line.trim().slice(0, 160)}`);
      }
      expect([...new Set(left)]).toEqual([]);
    });
  }
}
