import { ChangeDetectionStrategy, Component, computed, type ElementRef, signal, viewChild } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { type Gap, gapParts } from '@lorvet/core';
import { IconButton } from '../../icon-button';
import { type BlockOf, EditorPart, MOST_SEVERAL, several } from '../editor-part';

@Component({
  selector: 'lv-gaps-editor',
  imports: [IconButton, LucideDynamicIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <textarea
      class="input"
      #text
      rows="4"
      aria-label="Text with gaps"
      placeholder="Write the whole text, mark a word, then make it a gap"
      [maxLength]="most('text')"
      [value]="block().text"
      (change)="set({ text: text.value })"
    ></textarea>
    <div class="row">
      <button class="btn" type="button" (click)="make()">
        <svg lucideIcon="plus"></svg>Make the marked words a gap
      </button>
      <label class="row tag-small"
        >Answered by
        <select class="input" #m (change)="mode(m.value)">
          <option value="typed" [selected]="block().mode === 'typed'">typing</option>
          <option value="chosen" [selected]="block().mode === 'chosen'">choosing</option>
          <option value="bank" [selected]="block().mode === 'bank'">words from a bank</option>
        </select></label
      >
      @if (block().mode === 'typed') {
        <label class="check"
          ><input
            type="checkbox"
            #s
            [checked]="block().spellingTolerant"
            (change)="set({ spellingTolerant: s.checked })"
          />A slip of spelling still counts</label
        >
      }
    </div>
    @if (said()) {
      <p class="problem" role="alert">{{ said() }}</p>
    }
    @for (g of gaps(); track g.id; let i = $index) {
      <div class="row">
        <span class="tag-key">{{ '{' + g.id + '}' }}</span>
        <input
          class="input"
          style="flex: 1 1 10em"
          #k
          [attr.aria-label]="'Key of gap ' + (i + 1) + ', accepted answers with a slash between them'"
          [maxLength]="mostSeveral"
          [value]="g.key.join(' / ')"
          (change)="gap(g, { key: keys(k.value) })"
        />
        @if (block().mode === 'chosen') {
          <input
            class="input"
            style="flex: 1 1 10em"
            #o
            [attr.aria-label]="'Other choices of gap ' + (i + 1) + ', with a slash between them'"
            placeholder="other choices, with / between them"
            [maxLength]="mostSeveral"
            [value]="g.others.join(' / ')"
            (change)="gap(g, { others: keys(o.value) })"
          />
        }
        <button
          type="button"
          lvIcon="x"
          [says]="'Take gap ' + (i + 1) + ' away; its words stay'"
          (click)="fill(g)"
        ></button>
      </div>
    }
    @if (block().mode === 'bank') {
      <input
        class="input"
        #x
        aria-label="Further words in the bank, with a slash between them"
        placeholder="further words in the bank, with / between them"
        [maxLength]="mostSeveral"
        [value]="block().extra.join(' / ')"
        (change)="set({ extra: keys(x.value) })"
      />
    }
  `,
  styleUrl: '../editor.css',
})
export class GapsEditor extends EditorPart<BlockOf<'gaps'>> {
  private readonly text = viewChild.required<ElementRef<HTMLTextAreaElement>>('text');
  protected readonly said = signal('');
  protected readonly keys = several;
  protected readonly mostSeveral = MOST_SEVERAL;
  protected readonly gaps = computed(() =>
    gapParts(this.block().text, this.block().gaps).flatMap((p) =>
      'gap' in p ? this.block().gaps.filter((g) => g.id === p.gap) : [],
    ),
  );

  protected make(): void {
    const field = this.text().nativeElement;
    const [from, to] = [field.selectionStart, field.selectionEnd];
    const word = field.value.slice(from, to);
    if (!word.trim() || /[{}]/.test(word)) {
      this.said.set('Mark one or more words in the text first, outside of other gaps.');
      return;
    }
    this.said.set('');
    const lead = word.slice(0, word.length - word.trimStart().length);
    const tail = word.slice(word.trimEnd().length);
    const [before, after] = [field.value.slice(0, from), field.value.slice(to)];
    this.set(({ gaps }) => {
      let n = 1;
      while (gaps.some((g) => g.id === `g${n}`)) n++;
      const gap = { id: `g${n}`, key: [word.trim()], others: [] };
      return { text: `${before}${lead}{g${n}}${tail}${after}`, gaps: [...gaps, gap] };
    });
  }

  protected gap(gap: Gap, fields: Partial<Gap>): void {
    this.list<Gap>('gaps', (all) => all.map((g) => (g.id === gap.id ? { ...g, ...fields } : g)));
  }

  protected fill(gap: Gap): void {
    this.set((b) => ({
      text: b.text.replace(`{${gap.id}}`, () => b.gaps.find((g) => g.id === gap.id)?.key[0] ?? ''),
      gaps: b.gaps.filter((g) => g.id !== gap.id),
    }));
  }

  protected mode(value: string): void {
    if (value === 'typed' || value === 'chosen' || value === 'bank') this.set({ mode: value });
  }
}
