import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { safeAddress } from '@lorvet/core';
import { type BlockOf, EditorPart } from '../editor-part';

@Component({
  selector: 'lv-link-editor',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="row">
      <select
        class="input"
        #w
        aria-label="What the link leads to"
        (change)="set({ what: w.value === 'video' ? 'video' : 'page' })"
      >
        <option value="page" [selected]="block().what === 'page'">a page</option>
        <option value="video" [selected]="block().what === 'video'">a video</option>
      </select>
      <input
        class="input"
        style="flex: 1 1 14em"
        #t
        [maxLength]="most('title')"
        aria-label="What the link shows"
        placeholder="What it shows"
        [value]="block().title"
        (change)="set({ title: t.value })"
      />
    </div>
    <input
      class="input"
      #u
      type="url"
      inputmode="url"
      [maxLength]="most('url')"
      aria-label="Address"
      placeholder="https://…"
      [value]="block().url"
      (change)="address(u.value)"
    />
    @if (problem()) {
      <p class="problem" role="alert">{{ problem() }}</p>
    }
  `,
  styleUrl: '../editor.css',
})
export class LinkEditor extends EditorPart<BlockOf<'link'>> {
  protected readonly problem = signal('');

  protected address(text: string): void {
    const url = text.trim();
    const bad = url !== '' && !safeAddress(url);
    this.problem.set(
      bad
        ? `“${url}” is not an address that can be opened: it begins with https:// or http:// and has no spaces. The old one stands.`
        : '',
    );
    if (!bad) this.set({ url });
  }
}
