import { ComponentHarness, HarnessPredicate, type TestElement, TestKey } from '@angular/cdk/testing';
import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';

export type Name = string | RegExp;
const flat = (text: string | null | undefined): string => (text ?? '').replace(/\s+/g, ' ').trim();
const fits = (text: string, name: Name): boolean => (typeof name === 'string' ? text === name : name.test(text));
const native = <E extends HTMLElement>(e: TestElement): E => TestbedHarnessEnvironment.getNativeElement(e) as E;
const tell = (e: EventTarget, type: string, cancelable = false) =>
  e.dispatchEvent(new Event(type, { bubbles: true, cancelable }));

/** The label of a field or a button; jsdom's own `labels` reads the whole page each time. */
const labelOf = (e: HTMLElement): Element | null =>
  e.matches('input, textarea, select, button')
    ? (e.closest('label') ?? (e.id ? e.ownerDocument.querySelector(`label[for="${e.id}"]`) : null))
    : null;

/** What is read of a file that is chosen, whole or only its words. */
export type TextFile = File | { readonly name: string; readonly size: number; readonly text: () => Promise<string> };
export const textFile = (text: string, name = 'file', size = text.length): TextFile => ({
  name,
  size,
  text: () => Promise.resolve(text),
});

/** What stands on the page under the name that is read out for it. */
export abstract class NamedHarness extends ComponentHarness {
  async name(): Promise<string> {
    const host = native(await this.host());
    return flat(host.getAttribute('aria-label') ?? labelOf(host)?.textContent ?? host.textContent);
  }

  async press(): Promise<void> {
    await (await this.host()).click();
  }
}

/** A sort of named things: `ButtonHarness`, `FieldHarness` … */
export interface Sort<H extends NamedHarness> {
  new (...of: ConstructorParameters<typeof ComponentHarness>): H;
  readonly hostSelector: string;
}

export const called = <H extends NamedHarness>(sort: Sort<H>, name: Name): HarnessPredicate<H> =>
  new HarnessPredicate(sort, {}).add(`called ${String(name)}`, async (h) => fits(await h.name(), name));

/** Whatever is pressed: to do something, or to go somewhere. */
export class ButtonHarness extends NamedHarness {
  static readonly hostSelector = 'button, a';

  async isDisabled(): Promise<boolean> {
    return await (await this.host()).getProperty('disabled');
  }

  /** The address that it leads to; null where it does something here. */
  async leadsTo(): Promise<string | null> {
    return await (await this.host()).getAttribute('href');
  }
}

/** Whatever is filled in: words, numbers, boxes to check, files. */
export class FieldHarness extends NamedHarness {
  static readonly hostSelector = 'input, textarea, select';

  async value(): Promise<string> {
    return await (await this.host()).getProperty('value');
  }

  async isChecked(): Promise<boolean> {
    return await (await this.host()).getProperty('checked');
  }

  async isFocused(): Promise<boolean> {
    return await (await this.host()).isFocused();
  }

  /** Whether it says of itself that what is written in it is wrong. */
  async isWrong(): Promise<boolean> {
    return (await (await this.host()).getAttribute('aria-invalid')) === 'true';
  }

  /** As typing does it; what was typed is not left yet. */
  async type(text: string): Promise<void> {
    const host = await this.host();
    await host.focus();
    await host.setInputValue(text);
    // CDK's own events do not rise, and a browser's do.
    tell(native(host), 'input');
  }

  /** As typing and leaving it do. */
  async write(text: string): Promise<void> {
    await this.type(text);
    tell(native(await this.host()), 'change');
    await this.leave();
  }

  async leave(): Promise<void> {
    await (await this.host()).blur();
  }

  /** As Enter in it does: the form that it stands in is sent. */
  async send(): Promise<void> {
    tell(native<HTMLInputElement>(await this.host()).form as HTMLFormElement, 'submit', true);
  }

  async key(key: TestKey): Promise<void> {
    await (await this.host()).sendKeys(key);
  }

  /** As typing and Enter do, where no form is sent by it. */
  async enter(text: string): Promise<void> {
    await this.type(text);
    await (await this.host()).sendKeys(TestKey.ENTER);
  }

  /** As a file chosen for it. */
  async take(file: TextFile): Promise<void> {
    const field = native(await this.host());
    Object.defineProperty(field, 'files', { value: [file], configurable: true });
    Object.defineProperty(field, 'value', { value: '', writable: true, configurable: true });
    tell(field, 'change');
  }
}

/** What is folded away under its name. */
export class FoldHarness extends NamedHarness {
  static readonly hostSelector = 'p-accordion-header';
}

/** One of the choices in the menu that is open. */
export class ChoiceHarness extends NamedHarness {
  static readonly hostSelector = '[role=menuitem]';
  private readonly inside = this.locatorFor('*');

  override async press(): Promise<void> {
    await (await this.inside()).click();
  }
}

/** What is read out at once as it appears. */
export class AlertHarness extends NamedHarness {
  static readonly hostSelector = '[role=alert]';
}

/** A part of a place, or the head of a column: looked for only. */
export class PartHarness extends NamedHarness {
  static readonly hostSelector = 'section, th, label';
}

/** One of several, under a label. */
export class SelectHarness extends NamedHarness {
  static readonly hostSelector = 'lv-select';
  private readonly label = this.locatorFor('span');
  private readonly box = this.locatorFor('[role=combobox]');
  private readonly open = this.documentRootLocatorFactory().locatorForAll('[role=option]');

  override async name(): Promise<string> {
    return flat(await (await this.label()).text());
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
