import {
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  linkedSignal,
  signal,
  viewChild,
} from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import type { Id, PlanRule } from '@lorvet/core';
import type { MenuItem } from 'primeng/api';
import { ButtonDirective } from 'primeng/button';
import { Menu } from 'primeng/menu';
import { SELECT } from '../../ui/controls/select';
import { onceDrawn } from '../../ui/once-drawn';
import { pieceByPiece } from '../../ui/piece-by-piece';
import { SwatchMark } from '../../ui/swatch';
import { LoomRowView, MASTER } from './loom-row';
import { PlanAfter } from './plan-after';
import { type LoomRow, PlanHere } from './plan-here';
import { Seen } from '../../ui/seen';
import { counted } from '../../platform/many';

/** From here on only rows near those in sight are drawn, so many at once; each is as high as the others then. */
const MANY = 60;
const AT_ONCE = 6;
const ROW_PX = 33;

/**
 * Learners down, versions across: each learner gets one. A head gives its version to everyone; a part of the audience is
 * filled by a rule; several who are chosen get one together. Up and down go from learner to learner, a digit gives the
 * version of that column.
 */
@Component({
  selector: 'lv-loom',
  imports: [ButtonDirective, LoomRowView, LucideDynamicIcon, Menu, Seen, SwatchMark, ...SELECT],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './loom.html',
  styleUrl: './loom.css',
})
export class Loom {
  protected readonly counted = counted;
  protected readonly here = inject(PlanHere);
  private readonly after = inject(PlanAfter);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  protected readonly pieces = pieceByPiece(() => 2);
  protected readonly MASTER = MASTER;
  protected readonly ROW_PX = ROW_PX;
  protected readonly hasOwn = computed(() => this.here.personal().size > 0);
  protected readonly columnCount = computed(() => this.here.columns().length + (this.hasOwn() ? 4 : 3));
  /** Whether only the rows near those in sight are drawn. */
  protected readonly isMany = computed(() => this.here.rows().length > MANY);
  /** The rows under their headings, in pieces that are drawn or not. */
  protected readonly chunks = computed(() =>
    this.here.bands().flatMap((b) => {
      const size = this.isMany() ? AT_ONCE : b.rows.length;
      return Array.from({ length: Math.ceil(b.rows.length / size) }, (_, i) => ({
        key: `${b.id} ${i}`,
        heading: i === 0 ? `${b.name} · ${b.learners.length}` : '',
        rows: b.rows.slice(i * size, (i + 1) * size),
      }));
    }),
  );
  private readonly seen = signal<ReadonlySet<string>>(new Set());
  private readonly waiting = new Map<string, boolean>();
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
    const to = versionId === MASTER ? null : versionId;
    if (this.here.isDraft()) this.here.give([...this.chosen()], to);
    else this.after.ask([...this.chosen()], to);
    this.chosen.set(new Set());
  }

  /** In a plan everyone gets it; of what was given it is asked first what that would mean. */
  protected toEveryone(versionId: Id | null): void {
    if (this.here.isDraft()) this.here.fill('everyone', '', versionId);
    else this.after.ask(Object.keys(this.here.plan()?.given ?? {}), versionId);
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

  private readonly onceDrawn = onceDrawn();
  private readonly menu = viewChild.required(Menu);
  protected readonly doings = signal<MenuItem[]>([]);

  /** What else can be done with one learner. */
  protected open(event: Event, { learner, versions }: LoomRow): void {
    const { here, after } = this;
    const ofDraft = [
      ...(versions.length === 1
        ? [{ label: 'Another version on some pages', command: () => here.partsOf.set(learner.id) }]
        : []),
      { label: 'Take the version away', command: () => this.stay(learner.id, () => here.takeAway([learner.id])) },
    ];
    const ofGiven = [
      {
        label: 'Take it away; what was done stays',
        command: () => this.stay(learner.id, () => after.takeFrom(learner.id)),
      },
    ];
    this.doings.set(here.isDraft() ? ofDraft : ofGiven);
    this.menu().toggle(event);
  }

  /** The focus stays in the row, or goes to the next where that is gone. */
  private async stay(learnerId: Id, then: () => void | Promise<void>): Promise<void> {
    const rows = () => [...this.host.querySelectorAll<HTMLElement>('tr[data-row]')];
    const at = rows().findIndex((r) => r.dataset['row'] === learnerId);
    await then();
    // After the menu has given it back to its button, which may be gone.
    this.onceDrawn(() =>
      setTimeout(() => {
        const left = rows();
        const row = left.find((r) => r.dataset['row'] === learnerId) ?? left[Math.min(at, left.length - 1)];
        row?.querySelector<HTMLElement>('input:not(:disabled), button')?.focus();
      }),
    );
  }

  protected isDrawn(key: string): boolean {
    return !this.isMany() || this.seen().has(key);
  }

  /** Comes near what is in sight, or goes: one piece is drawn in a frame, so that none is long. */
  protected see(key: string, isNear: boolean): void {
    if (!this.isMany()) return;
    if (this.waiting.size === 0) requestAnimationFrame(() => this.drawNext());
    this.waiting.set(key, isNear);
  }

  private drawNext(): void {
    const now = new Set(this.seen());
    // Those that go cost nothing; of those that come, one.
    let isOne = false;
    for (const [key, isNear] of this.waiting) {
      if (isNear && isOne) continue;
      this.waiting.delete(key);
      if (!isNear) now.delete(key);
      else if (!now.has(key)) {
        now.add(key);
        isOne = true;
      }
    }
    this.seen.set(now);
    if (this.waiting.size) requestAnimationFrame(() => this.drawNext());
  }

  /** A learner's row, in view and with the focus. */
  show(learnerId: string): void {
    const chunk = this.chunks().find((c) => c.rows.some((r) => r.learner.id === learnerId));
    if (chunk) this.seen.set(new Set([...this.seen(), chunk.key]));
    requestAnimationFrame(() => {
      const row = this.host.querySelector<HTMLElement>(`[data-row="${CSS.escape(learnerId)}"]`);
      row?.scrollIntoView({ block: 'center' });
      row?.querySelector<HTMLElement>('input[type=radio], button, a')?.focus();
    });
  }
}
