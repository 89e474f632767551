import { expect, type Browser, type Locator, type Page } from '@playwright/test';
import { signIn, type Site } from '../setup/site.ts';

/** The hand of a person at a page: what it does is counted. */
export class Hand {
  taps = 0;
  fields = 0;
  scrolls = 0;

  constructor(
    readonly page: Page,
    readonly site: Site,
  ) {}

  /** What does not lie in view is scrolled to first, as a person has to. */
  async #reach(it: Locator): Promise<void> {
    await it.waitFor();
    const box = await it.boundingBox();
    const height = this.page.viewportSize()?.height ?? 0;
    if (!box || box.y < 0 || box.y + Math.min(box.height, 40) > height) {
      this.scrolls++;
      await it.scrollIntoViewIfNeeded();
    }
  }

  async tap(it: Locator): Promise<void> {
    await this.#reach(it);
    this.taps++;
    await it.click();
  }

  async type(it: Locator, text: string): Promise<void> {
    await this.#reach(it);
    this.fields++;
    await it.fill(text);
  }

  /** Opened and chosen from. */
  async pick(it: Locator, option: string | { label: string }): Promise<void> {
    await this.#reach(it);
    this.fields += 2;
    await it.selectOption(option);
  }

  button(name: string | RegExp): Locator {
    return this.page.getByRole('button', typeof name === 'string' ? { name, exact: true } : { name });
  }

  async sees(it: Locator): Promise<void> {
    await expect(it).toBeVisible({ timeout: 20_000 });
  }
}

export interface Journey {
  readonly name: string;
  readonly width: 390 | 820 | 1280;
  /** Taps and fields. */
  readonly most: number;
  /** Before the hand is counted. */
  readonly before?: (hand: Hand) => Promise<void>;
  readonly go: (hand: Hand) => Promise<void>;
}

const HEIGHT = { 390: 844, 820: 1180, 1280: 800 } as const;

export async function walk(
  browser: Browser,
  site: Site,
  { width, before, go }: Journey,
): Promise<{ taps: number; fields: number; scrolls: number; seconds: number }> {
  const page = await browser.newPage({ viewport: { width, height: HEIGHT[width] } });
  try {
    await signIn(page, site);
    const prepared = new Hand(page, site);
    await before?.(prepared);
    const hand = new Hand(page, site);
    const start = performance.now();
    await go(hand);
    const { taps, fields, scrolls } = hand;
    return { taps, fields, scrolls, seconds: (performance.now() - start) / 1000 };
  } finally {
    await page.close();
  }
}
