import type { Page } from '@playwright/test';

/** Units that nobody chose, with a figure or a comma before them, or alone in a label. */
const METRIC_LEFT =
  /(?:\d\s?|[,(]\s?|^)(°C|mbar|hPa|kPa|km\/h|km|g\/L|g\/s|m³\/h|kg|mm|N·m|mL|g|L)(?![\p{L}\p{N}/³·])/gmu;

/** What was typed by people is theirs, what a file is headed by is the file's, and what is chosen from are units. */
const OWN_WORDS = '[data-own-words], textarea, code, pre';

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

/** Headings that say the same as another one on the page: who jumps from one to the next cannot tell them apart. */
export const headingsTwice = (page: Page): Promise<string[]> =>
  page.getByRole('heading').evaluateAll((all) => {
    const texts = all.map((one) => (one.textContent ?? '').replaceAll(/\s+/g, ' ').trim());
    if (texts.length === 0) return ['no heading at all'];
    return [...new Set(texts.filter((text, i) => texts.indexOf(text) !== i))];
  });

/** A name that nobody resolved, a figure that is none, the code of a sentence in its place. */
const UNRESOLVED =
  /\b(?:undefined|NaN|null|Invalid Date|Infinity)\b|\[object |\$\{|(?:^|\s)[a-z]{3,}\.[a-z]+(?:-[a-z0-9]+)+(?:$|\s)/u;

export async function unresolved(page: Page): Promise<string[]> {
  const lines = (await written(page)).split('\n').filter((line) => UNRESOLVED.test(line));
  return [...new Set(lines.map((line) => line.trim().slice(0, 160)))];
}

/** A decimal point, where the person's own sign is a comma; the names of models and threads have their own. */
const DECIMAL_POINT = /(?<!\p{Lu}[\p{L}-]+\s)(?<!M\d+ × )(?<![\d.])\d+\.\d+(?![\d.])/u;

export async function pointsLeft(page: Page): Promise<string[]> {
  const lines = (await written(page)).split('\n').filter((line) => DECIMAL_POINT.test(line));
  return [...new Set(lines.map((line) => line.trim().slice(0, 160)))];
}

/** A day as it is stored, where the person's own order and signs are others. */
const STORED_DAY = /(?<!\d)\d{4}-\d{2}-\d{2}/u;

export async function storedDaysLeft(page: Page): Promise<string[]> {
  const lines = (await written(page)).split('\n').filter((line) => STORED_DAY.test(line));
  return [...new Set(lines.map((line) => line.trim().slice(0, 160)))];
}

export async function unitsLeft(page: Page): Promise<string[]> {
  for (const details of await page.locator('details:not([open]) > summary').all())
    await details.click({ timeout: 1000 }).catch(() => undefined);
  const lines = (await written(page)).split('\n').filter((line) => line.match(METRIC_LEFT));
  return [...new Set(lines.map((line) => line.trim().slice(0, 160)))];
}
