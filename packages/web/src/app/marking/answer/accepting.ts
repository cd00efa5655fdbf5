import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { type Accepted, type Content, findBlock, isItem, itemRules, latest } from '@lorvet/core';
import { accepting, mayAccept } from '@lorvet/core/marking';
import { ButtonDirective } from 'primeng/button';
import { BenchActions } from '../../store/actions';
import { WorkspaceStore } from '../../store/workspace';
import { Notice } from '../../ui/notice';
import { MarkingHere } from '../here';
import { type Row } from '../row';

/** What of a question is accepted besides the key: one more by a press, for everybody; each can go into the master's key. */
@Component({
  selector: 'lv-accepting',
  imports: [ButtonDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (offer(); as o) {
      <button pButton severity="secondary" type="button" (click)="accept()">
        Accept “{{ o.words }}” too{{ o.others ? ', for all ' + (o.others + 1) + ' who wrote it' : '' }}
      </button>
    }
    @for (a of accepted(); track a.id) {
      <p class="small">
        Accepted too, in all versions: <b>{{ a.words }}</b>
        @if (a.inKey) {
          · in the master’s key
        }
      </p>
      <div class="row">
        @if (!a.inKey && a.mayGo) {
          <button pButton severity="secondary" type="button" (click)="intoKey(a.of)">
            Put it into the master’s key
          </button>
        }
        <button pButton severity="secondary" text type="button" (click)="here.answering.unaccept(a.of.itemId, a.of.id)">
          Accept it no more
        </button>
      </div>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 6px;
      justify-items: start;
    }
    :host:empty {
      display: none;
    }
    .row {
      gap: 6px;
    }
    button {
      white-space: normal;
      text-align: start;
    }
  `,
})
export class Accepting {
  /** Whose answer is offered; without one, nothing is. */
  readonly row = input<Row>();
  readonly itemId = input.required<string>();
  protected readonly here = inject(MarkingHere);
  private readonly work = inject(WorkspaceStore);
  private readonly notice = inject(Notice);

  protected readonly offer = computed(() => {
    const row = this.row();
    const id = this.itemId();
    const item = row?.cellOf(id).item;
    const answer = row?.go?.answers[id];
    if (!row || !item || !answer || !mayAccept(item, answer)) return null;
    const words = itemRules(item).answerWords(item, answer).trim();
    const same = (r: Row) => {
      const own = r.cellOf(id).item;
      const a = r.go?.answers[id];
      return r !== row && own && a && itemRules(own).answerWords(own, a).trim().toLowerCase() === words.toLowerCase();
    };
    return { item, answer, words, others: this.here.table.rows().filter(same).length };
  });

  /** The master as it is being written, or stands. */
  private readonly master = computed(() => {
    const family = this.here.table.family();
    return family ? (family.draft ?? latest(family).content) : null;
  });

  protected readonly accepted = computed(() => {
    const all = (this.here.table.handOut()?.accepted ?? []).filter((a) => a.itemId === this.itemId());
    const content = this.master();
    const block = content ? findBlock(content, this.itemId())?.block : undefined;
    const item = block && isItem(block) ? block : undefined;
    return all.map((a) => ({
      id: a.id,
      of: a,
      words: item ? itemRules(item).answerWords(item, a.answer) : 'an answer',
      mayGo: item !== undefined,
      inKey: item !== undefined && !mayAccept(item, a.answer),
    }));
  });

  protected accept(): void {
    const o = this.offer();
    if (!o) return;
    this.here.answering.accept(o.item, o.answer);
    this.notice.done(`“${o.words}” is accepted`, 'For everybody who has the question, whichever version.');
  }

  /** A revision of the master of its own; into the changes under way, where there are some. */
  protected intoKey(a: Accepted): void {
    const family = this.here.table.family();
    if (!family) return;
    const words = this.accepted().find((x) => x.id === a.id)?.words ?? '';
    const wasDraft = family.draft !== undefined && family.draft !== null;
    const change = (content: Content): Content => ({
      ...content,
      pages: content.pages.map((p) =>
        p.blocks.some((b) => b.id === a.itemId)
          ? { ...p, blocks: p.blocks.map((b) => (b.id === a.itemId && isItem(b) ? accepting(b, a.answer) : b)) }
          : p,
      ),
    });
    this.work.changeMaster(family, change, `accept “${words}” in the key`);
    if (!wasDraft)
      this.work.dispatch(
        BenchActions.revisionSaved({
          familyId: family.id,
          note: `“${words}” is accepted too`,
          stamp: this.work.stamp(40),
        }),
      );
    this.notice.done(
      `“${words}” is in the master’s key`,
      wasDraft
        ? 'It is among the changes that wait on the Bench to be saved.'
        : 'As a revision of its own; the versions follow it.',
    );
  }
}
