import { ComponentHarness, HarnessPredicate } from '@angular/cdk/testing';

export type Name = string | RegExp;
const flat = (text: string): string => text.replace(/\s+/g, ' ').trim();
const fits = (text: string, name: Name): boolean => (typeof name === 'string' ? text === name : name.test(text));

/** One of several, under a label. */
export class SelectHarness extends ComponentHarness {
  static readonly hostSelector = 'lv-select';
  private readonly label = this.locatorFor('span');
  private readonly box = this.locatorFor('[role=combobox]');
  private readonly open = this.documentRootLocatorFactory().locatorForAll('[role=option]');

  static called(name: Name): HarnessPredicate<SelectHarness> {
    return new HarnessPredicate(SelectHarness, {}).add(`called ${String(name)}`, async (s) =>
      fits(flat(await (await s.label()).text()), name),
    );
  }

  async value(): Promise<string> {
    return flat(await (await this.box()).text());
  }

  async options(): Promise<string[]> {
    await this.turn(true);
    const all = await Promise.all((await this.open()).map((o) => o.text()));
    await this.turn(false);
    return all.map(flat);
  }

  async choose(option: Name): Promise<void> {
    await this.turn(true);
    const all = await this.open();
    for (const o of all) if (fits(flat(await o.text()), option)) return await o.click();
    throw new Error(`No ${String(option)} in: ${(await Promise.all(all.map((o) => o.text()))).join(' | ')}`);
  }

  private async turn(open: boolean): Promise<void> {
    const box = await this.box();
    if (((await box.getAttribute('aria-expanded')) === 'true') !== open) await box.click();
  }
}
