import { ChangeDetectionStrategy, Component, computed, ElementRef, inject, linkedSignal, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { LucideDynamicIcon } from '@lucide/angular';
import type { Id, PlanRule } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { SELECT } from '../../ui/controls/select';
import { growing } from '../../ui/growing';
import { SwatchMark } from '../../ui/swatch';
import { PlanHere } from './plan-here';

/** What stands for the master in a list of choices. */
const MASTER = 'master';
const ROWS_AT_ONCE = 30;
const ROWS_ALWAYS = 2000;

/**
 * Learners down, versions across: each learner gets one. A head gives its version to everyone; a part of the audience is
 * filled by a rule; several who are chosen get one together. Up and down go from learner to learner, a digit gives the
 * version of that column.
 */
@Component({
  selector: 'lv-loom',
  imports: [ButtonDirective, LucideDynamicIcon, RouterLink, SwatchMark, ...SELECT],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './loom.html',
  styleUrl: './loom.css',
})
export class Loom {
  protected readonly here = inject(PlanHere);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  protected readonly MASTER = MASTER;
  protected readonly hasOwn = computed(() => this.here.personal().size > 0);
  protected readonly columnCount = computed(() => this.here.columns().length + (this.hasOwn() ? 4 : 3));
  private readonly drawn = growing(() => this.here.id(), ROWS_AT_ONCE, ROWS_ALWAYS);
  /** As many rows as are drawn by now, under their headings. */
  protected readonly bands = computed(() => {
    let left = this.drawn.budget();
    return this.here.bands().flatMap((b) => {
      const rows = b.rows.slice(0, Math.max(0, left));
      left -= b.rows.length;
      return rows.length ? [{ ...b, rows }] : [];
    });
  });
  protected readonly chosen = linkedSignal<readonly Id[], ReadonlySet<Id>>({
    source: computed(() => this.here.audience().map((l) => l.id)),
    computation: (ids, before) => new Set(ids.filter((id) => before?.value.has(id))),
  });
  /** What is filled next: everyone, or a part of the audience. */
  protected readonly parts = computed(() => {
    const plan = this.here.plan();
    const { classes, groups, audiences } = this.here.people();
    if (!plan) return [];
    const ids = new Set(this.here.audience().map((l) => l.id));
    const some = (p: { learnerIds: readonly Id[] }) => p.learnerIds.some((id) => ids.has(id));
    const as = (by: PlanRule['by'], list: readonly { id: Id; name: string }[]) =>
      list.map((p) => ({ key: `${by} ${p.id}`, by, of: p.id, name: p.name }));
    return [
      { key: 'everyone ', by: 'everyone' as const, of: '', name: 'Everyone' },
      ...as('class', classes.filter(some)),
      ...as('group', groups.filter(some)),
      ...as('audience', audiences),
    ];
  });
  protected readonly filling = signal('everyone ');
  protected readonly none: ReadonlySet<Id> = new Set();

  protected fill(versionId: string): void {
    const part = this.parts().find((p) => p.key === this.filling());
    if (part && versionId) this.here.fill(part.by, part.of, versionId === MASTER ? null : versionId);
  }

  protected giveChosen(versionId: string): void {
    if (!versionId) return;
    this.here.give([...this.chosen()], versionId === MASTER ? null : versionId);
    this.chosen.set(new Set());
  }

  protected choose(id: Id, on: boolean): void {
    const now = new Set(this.chosen());
    if (on) now.add(id);
    else now.delete(id);
    this.chosen.set(now);
  }

  protected takeChosen(): void {
    this.here.takeAway([...this.chosen()]);
    this.chosen.set(new Set());
  }

  /** Up and down: the same column of the next learner; a digit: the version of that column. */
  protected key(event: KeyboardEvent): void {
    const at = event.target;
    if (!(at instanceof HTMLInputElement) || at.type !== 'radio') return;
    const row = at.closest('tr');
    const digit = /^[1-9]$/.test(event.key) ? Number(event.key) : 0;
    if (digit) {
      const field = row?.querySelectorAll<HTMLInputElement>('input[type=radio]')[digit - 1];
      if (field && !field.disabled) {
        event.preventDefault();
        field.click();
        field.focus();
      }
      return;
    }
    if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
    event.preventDefault();
    const rows = [...this.host.querySelectorAll<HTMLTableRowElement>('tr[data-row]')];
    const next = rows[rows.indexOf(row as HTMLTableRowElement) + (event.key === 'ArrowDown' ? 1 : -1)];
    const column = at.dataset['column'] ?? '';
    const fields = [...(next?.querySelectorAll<HTMLInputElement>('input[type=radio]') ?? [])];
    (fields.find((f) => f.dataset['column'] === column) ?? fields[0])?.focus();
  }

  /** A learner's row, in view and with the focus. */
  show(learnerId: string): void {
    this.drawn.reach(ROWS_ALWAYS);
    requestAnimationFrame(() => {
      const row = this.host.querySelector<HTMLElement>(`[data-row="${CSS.escape(learnerId)}"]`);
      row?.scrollIntoView({ block: 'center' });
      row?.querySelector<HTMLElement>('input[type=radio], button, a')?.focus();
    });
  }
}
