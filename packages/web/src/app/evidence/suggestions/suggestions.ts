import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { type HelpSuggestion, takeUp, type TakenUp } from '@lorvet/core/helps';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Clock } from '../../platform/clock';
import { localDay } from '../../platform/local-day';
import { EvidenceActions } from '../../store/actions';
import { Parts } from '../../store/parts';
import { wantFamily } from '../../store/wants';
import { WorkspaceStore } from '../../store/workspace';
import { FOLD } from '../../ui/controls/fold';
import { SELECT } from '../../ui/controls/select';
import { drawSwatch } from '../../ui/draw-swatch';
import { Empty } from '../../ui/empty';
import { growing } from '../../ui/growing';
import { inStages } from '../../ui/in-stages';
import { Near } from '../../ui/near';
import { Notice } from '../../ui/notice';
import { ProgressLine } from '../../ui/progress';
import { dayIn } from '../../ui/when';
import { EvidenceHead } from '../evidence-head';
import { type Figures, HelpsWork } from '../helps-work';

const DOES: Readonly<Record<HelpSuggestion['what'], string>> = {
  fade: 'Draft a version without it',
  'step up': 'Draft the plan',
  'goal met': 'Take it to the review',
  misleads: 'Draft a version without it',
  'another task': 'Draft one nearer to the master',
};

const KINDS: Readonly<Record<HelpSuggestion['what'], string>> = {
  fade: 'fade a support',
  'step up': 'try less help',
  'goal met': 'goal met',
  misleads: 'question that misleads',
  'another task': 'another task',
};

/** What results suggest, with the reasons: nothing of it is done until the teacher does it. */
@Component({
  selector: 'lv-suggestions',
  imports: [ButtonDirective, Empty, EvidenceHead, InputText, Near, ProgressLine, RouterLink, ...FOLD, ...SELECT],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './suggestions.html',
  styleUrl: './suggestions.css',
})
export class Suggestions {
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  private readonly parts = inject(Parts);
  private readonly notice = inject(Notice);
  protected readonly helps = inject(HelpsWork);
  protected readonly kinds = KINDS;
  protected readonly isStopped = signal(false);
  /** The one whose reason is being written. */
  protected readonly asking = signal('');
  /** Whoever says no reason is told what is missing. */
  protected readonly lacksReason = signal(false);
  /** What was made of those that were taken up here, with the way to it. */
  private readonly taken = signal<{
    readonly id: string;
    readonly says: string;
    readonly link: readonly string[];
  } | null>(null);
  /** Undone, it is not said any more. */
  protected readonly made = computed(() => {
    const t = this.taken();
    return t && Object.hasOwn(this.work.dismissed(), t.id) ? t : null;
  });
  /** Those that are being taken up: a second press does nothing. */
  private readonly taking = new Set<string>();
  /** A learner, or what is of no learner (“-”); empty for all. */
  protected readonly about = signal('');
  private readonly found = signal<readonly HelpSuggestion[] | null>(null);
  private end: () => void = () => undefined;

  private readonly unanswered = computed(() => {
    const answered = this.work.dismissed();
    return this.found()?.filter((s) => !Object.hasOwn(answered, s.id));
  });
  /** Learners of whom anything is suggested. */
  protected readonly learners = computed(() => {
    const ids = new Set(this.unanswered()?.map((s) => s.learnerId));
    return this.work.people().learners.filter((l) => ids.has(l.id));
  });
  private readonly isThere = computed(() => this.found() !== null);
  protected readonly drawn = growing(() => [this.about(), this.isThere()], 2, 24);
  /** The list first, then what narrows it. */
  protected readonly stage = inStages(this.isThere, 3);
  protected readonly open = computed(() => {
    const about = this.about();
    return this.unanswered()
      ?.filter((s) => !about || (s.learnerId ?? '-') === about)
      .map((s) => ({ s, does: DOES[s.agreed === undefined ? s.what : 'goal met'], ways: this.waysOf(s) }));
  });
  /** The newest first; of those that are not suggested any more, only when and why is known. */
  protected readonly answered = computed(() => {
    const found = new Map(this.found()?.map((s) => [s.id, s.says]));
    return Object.values(this.work.dismissed())
      .sort((a, b) => b.at.localeCompare(a.at))
      .map((d) => ({
        ...d,
        says: found.get(d.id) ?? 'What was suggested then is not suggested any more',
        day: dayIn(localDay(d.at)),
      }));
  });

  constructor() {
    this.read();
    inject(DestroyRef).onDestroy(() => {
      this.end();
      this.helps.stop();
    });
  }

  protected read(): void {
    this.isStopped.set(false);
    const until = new Promise<void>((done) => (this.end = done));
    this.helps.during((f) => void this.ask(f), until).catch(() => this.isStopped.set(true));
  }

  private async ask(figures: Figures): Promise<void> {
    this.found.set(await figures.suggestions(this.clock.today()));
  }

  private waysOf(s: HelpSuggestion): { readonly name: string; readonly link: string[]; readonly query?: object }[] {
    return [
      ...(s.learnerId ? [{ name: 'Evidence', link: ['/evidence/of', s.learnerId] }] : []),
      ...(s.itemId && s.familyId
        ? [{ name: 'Mend it in the master', link: ['/bench', s.familyId], query: { block: s.itemId } }]
        : []),
      ...(s.versionId && s.familyId ? [{ name: 'The version', link: ['/bench', s.familyId, s.versionId] }] : []),
    ];
  }

  protected async takeUp(s: HelpSuggestion): Promise<void> {
    if (this.taking.has(s.id)) return;
    this.taking.add(s.id);
    try {
      await this.make(s);
    } finally {
      this.taking.delete(s.id);
    }
  }

  private async make(s: HelpSuggestion): Promise<void> {
    await this.parts.during(async (want) => {
      const { learnerId = '', familyId = '' } = s;
      if (familyId) await wantFamily(familyId, want, this.work.doc);
      if (learnerId) await want('folders', [learnerId]);
      const doc = this.work.doc();
      const family = Object.hasOwn(doc.families, familyId) ? doc.families[familyId] : undefined;
      const at = this.clock.iso();
      const made = takeUp(s, {
        family,
        learner: this.work.people().learners.find((l) => l.id === learnerId),
        held: Object.hasOwn(doc.folders, learnerId) ? doc.folders[learnerId]?.held : undefined,
        ...{ at, today: this.clock.today(), author: 'Teacher', newId: () => this.clock.newId() },
        swatch: drawSwatch(this.clock, family ? [family.swatch, ...family.versions.map((v) => v.swatch)] : []),
      });
      if (!made) {
        this.notice.cannot('What this speaks of is not here any more: it was removed. Nothing was made.');
        return;
      }
      const { says, link } = this.sayMade(made);
      this.work.dispatch(
        EvidenceActions.suggestionAnswered({
          answer: { id: s.id, reason: `Taken up: ${says}`.slice(0, 300), at },
          made,
          label: `take up a suggestion: ${s.says}`.slice(0, 200),
        }),
      );
      this.taken.set({ id: s.id, says, link });
    });
  }

  private sayMade(made: TakenUp): { readonly says: string; readonly link: readonly string[] } {
    switch (made.made) {
      case 'version':
        return {
          says: `the version “${made.version.name}” was drafted.`,
          link: ['/bench', made.familyId, made.version.id],
        };
      case 'plan':
        return {
          says: `a plan of “${made.handOut.title}” was drafted; nothing is given out.`,
          link: ['/plan', made.handOut.id],
        };
      default:
        return { says: 'a review was begun with it.', link: ['/evidence/of', made.learnerId] };
    }
  }

  protected dismiss(s: HelpSuggestion, words: string): void {
    const reason = words.trim();
    this.lacksReason.set(!reason);
    if (!reason) return;
    this.asking.set('');
    this.work.dispatch(
      EvidenceActions.suggestionAnswered({
        answer: { id: s.id, reason: reason.slice(0, 300), at: this.clock.iso() },
        made: null,
        label: `dismiss a suggestion: ${s.says}`.slice(0, 200),
      }),
    );
  }

  protected reopen(id: string): void {
    this.work.dispatch(EvidenceActions.suggestionReopened({ id }));
  }

  protected begin(id: string): void {
    this.lacksReason.set(false);
    this.asking.set(this.asking() === id ? '' : id);
  }
}
