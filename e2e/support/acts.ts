import type { Locator, Page } from '@playwright/test';

/** How a maker goes about it. */
export type By = 'mouse' | 'touch' | 'keyboard';

/**
 * What a maker does, counted: a press of the mouse or a finger is one act, and so is every key. By keyboard alone, one
 * gets everywhere by F6 (the next part of the page), Tab and arrows, each of them counted too.
 */
export class Acts {
  count = 0;

  constructor(
    private readonly page: Page,
    private readonly by: By,
  ) {}

  /** Presses a button, a link or a tab. */
  async press(what: Locator): Promise<void> {
    await what.waitFor();
    if (this.by === 'keyboard') {
      const role = await what.getAttribute('role');
      await this.goTo(what);
      if (role !== 'tab' || (await what.getAttribute('aria-selected')) !== 'true') await this.key('Enter');
      return;
    }
    this.count++;
    await (this.by === 'touch' ? what.tap() : what.click());
  }

  /** Chooses one of several. */
  async choose(radio: Locator): Promise<void> {
    await radio.waitFor({ state: 'attached' });
    if (this.by === 'keyboard') {
      const group = radio.locator('xpath=ancestor::*[@role="radiogroup"]');
      await this.tabTo(group);
      for (let i = 0; i < 14 && !(await radio.isChecked()); i++) {
        const before = await chosenIn(group);
        await this.key('ArrowRight');
        // One looks before the next arrow: another is chosen now.
        while ((await chosenIn(group)) === before);
      }
      return;
    }
    this.count++;
    const label = radio.locator('xpath=ancestor::label');
    await (this.by === 'touch' ? label.tap() : label.click());
  }

  /** Types where the cursor is. */
  async type(text: string): Promise<void> {
    this.count += text.length;
    await this.page.keyboard.type(text);
  }

  async key(key: string): Promise<void> {
    this.count++;
    await this.page.keyboard.press(key);
  }

  /** Puts the cursor in a field. */
  async into(field: Locator): Promise<void> {
    await field.waitFor();
    if (await has(field)) return;
    if (this.by === 'keyboard') await this.tabTo(field);
    else await this.press(field);
  }

  private async goTo(what: Locator): Promise<void> {
    await this.partOf(what);
    // Within a list of tabs or a toolbar one goes by arrows.
    const row = what.locator('xpath=ancestor::*[@role="tablist" or @role="toolbar"][1]');
    if ((await row.count()) === 0) return this.tabTo(what);
    await this.tabTo(row);
    for (let i = 0; i < 8 && !(await has(what)); i++) await this.key('ArrowRight');
  }

  /** Goes to the part of the page it lies in, where that is another: the bar, the stages, the work, its figures. */
  private async partOf(what: Locator): Promise<void> {
    const part = what.locator(
      'xpath=(ancestor::*[self::header or self::nav or self::main or self::aside])[last()]',
    );
    for (let i = 0; i < 5 && !(await has(part)); i++) await this.key('F6');
  }

  private async tabTo(what: Locator): Promise<void> {
    for (let i = 0; i < 60; i++) {
      if (await has(what)) return;
      await this.key('Tab');
    }
    throw new Error('It was not reached by keyboard.');
  }
}

/** Which radio of a group is chosen, by its place. */
const chosenIn = (group: Locator): Promise<number> =>
  group.evaluate((element) => [...element.querySelectorAll('input')].findIndex((radio) => radio.checked));

/** The focus lies there, or inside. */
const has = (what: Locator): Promise<boolean> =>
  what.evaluate((element) => element.contains(document.activeElement));
