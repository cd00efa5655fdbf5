import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  type ElementRef,
  inject,
  Injector,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { chainOf, derive, type Id, itemsOf, type Judgement, personalFieldsIn } from '@lorvet/core';
import { measurePages } from '@lorvet/core/measures';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Tooltip } from 'primeng/tooltip';
import { RouterLink } from '@angular/router';
import { BenchActions } from '../store/actions';
import { CheckBox } from '../ui/controls/check';
import { FOLD } from '../ui/controls/fold';
import { measured } from '../ui/measured';
import { AdjustmentFiles } from './adjustment-files';
import { AdjustmentList } from './adjustment-list';
import { answered, Asked } from './asked';
import { BenchView } from './bench-view';
import { DoHere } from './do-here';
import { FromElsewhere } from './from-elsewhere';
import { MeasuresTable } from './measures-table';
import { toneOf } from '../ui/tone';
import { VersionChain } from './version-chain';
import { VersionHere } from './version-here';
import { tenth } from '../ui/tenth';

interface AskedOnce {
  readonly key: string;
  readonly question: string;
  readonly why: string;
  readonly of: readonly { readonly versionId: Id; readonly adjustmentId: Id }[];
}

/** What a version is as a whole, beside its master, and what can be done with all of it. */
@Component({
  selector: 'lv-whole-version',
  imports: [
    AdjustmentFiles,
    AdjustmentList,
    Asked,
    ButtonDirective,
    CheckBox,
    DoHere,
    FromElsewhere,
    InputText,
    MeasuresTable,
    RouterLink,
    Tooltip,
    VersionChain,
    ...FOLD,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './whole-version.html',
})
export class WholeVersion {
  protected readonly toneOf = toneOf;
  protected readonly view = inject(BenchView);
  private readonly state = inject(VersionHere).state;
  private readonly injector = inject(Injector);
  private readonly head = viewChild<ElementRef<HTMLElement>>('head');
  /** Learners who were given it, each with their evidence. */
  protected readonly had = computed(() => {
    const given = new Set(this.view.given());
    return this.view.work.people().learners.filter((l) => given.has(l.id));
  });
  protected readonly isOpen = signal(false);
  protected readonly selection = this.view.selection;
  protected readonly bringing = signal(false);
  protected readonly verdict = computed(() => this.state()?.classified ?? null);
  /** What only the teacher can answer, each question once for what it is asked of in the same words, with those adjustments. */
  protected readonly asked = computed(() => {
    const s = this.state();
    const by = new Map<string, AskedOnce>();
    for (const v of s ? chainOf(s.family, s.version.id) : [])
      for (const { id } of v.adjustments) {
        const verdict = s?.classified.adjustments.get(id);
        if (!verdict?.question || verdict.overruled) continue;
        // The same question about something else is another one.
        const key = `${verdict.why}\n${verdict.question}`;
        const known = by.get(key)?.of ?? [];
        by.set(key, {
          key,
          question: verdict.question,
          why: verdict.why,
          of: [...known, { versionId: v.id, adjustmentId: id }],
        });
      }
    return [...by.values()];
  });
  protected readonly masterMeasures = measured(() => {
    const s = this.state();
    return s && derive(s.family, null).content;
  });
  protected readonly measures = measured(() => this.state()?.derived.content);
  protected readonly headline = computed(() => {
    switch (this.verdict()?.judgement) {
      case 'modification':
        return 'A modification';
      case 'to judge':
        return 'Yours to judge';
      case 'accommodation':
        return 'An accommodation';
      case 'addition':
        return 'More is asked';
      default:
        return 'As the master';
    }
  });

  protected readonly adjustments = computed(() => this.state()?.version.adjustments.length ?? 0);

  protected readonly pages = computed(() => {
    const s = this.state();
    const keep = s?.version.adjustments.find((a) => a.kind === 'keep-pages');
    return (s?.basis.pages ?? []).map((p) => ({
      id: p.id,
      title: p.title,
      facts: this.factsOf(p.id),
      kept: keep?.kind === 'keep-pages' ? keep.pages.includes(p.id) : !s?.derived.leftOut.has(p.id),
    }));
  });
  /** A page's own measures, as the version has it. */
  private factsOf(pageId: string): string {
    const page = this.state()?.derived.whole.pages.find((p) => p.id === pageId);
    if (!page) return '';
    const m = measurePages([page], []);
    const grade = m.readability.figures.kincaid;
    return `${m.items} items, ${m.words} words${grade === undefined ? '' : `, grade ${tenth(grade)}`}`;
  }
  protected readonly personal = computed(() => {
    const s = this.state();
    if (!s) return null;
    const filled = s.version.adjustments.some((a) => a.kind === 'personal-fields');
    return { filled, fields: personalFieldsIn(s.derived.content).map((f) => `[${f}]`) };
  });
  protected readonly who = computed(() => {
    const people = this.view.work.people();
    return this.view
      .given()
      .map((id) => people.learners.find((l) => l.id === id)?.name ?? '')
      .filter(Boolean);
  });

  protected readonly droppedObjectives = computed(() => {
    const s = this.state();
    if (!s) return [];
    const asked = new Set(itemsOf(s.derived.content).map((i) => i.objectiveId));
    return (this.masterMeasures()?.objectivesKept ?? []).filter((o) => !asked.has(o.id));
  });

  constructor() {
    // What is asked for by its name is done where all doings stand.
    effect(() => {
      if (this.view.asked()) untracked(() => this.isOpen.set(true));
    });
  }

  /** Whether the page is kept now: leaving out the last one is refused. */
  protected keepPage(id: string, keep: boolean): boolean {
    const ids = this.pages()
      .filter((p) => (p.id === id ? keep : p.kept))
      .map((p) => p.id);
    this.view.recorded({ did: 'keep-pages', pageIds: ids }, 'keep only some pages');
    return this.pages().find((p) => p.id === id)?.kept ?? false;
  }

  /** One answer settles a question for all adjustments that ask it. */
  protected judge({ question, of }: AskedOnce, judgement: Judgement): void {
    const familyId = this.state()?.family.id;
    if (familyId === undefined) return;
    this.view.work.dispatch(BenchActions.questionJudged({ familyId, of, overrule: answered(question, judgement) }));
    // What was pressed is gone: what is said of the version now has the focus, and is read out.
    afterNextRender(() => this.head()?.nativeElement.focus(), { injector: this.injector });
  }

  protected personalise(): void {
    const otherwise = { name: 'You', interest: 'what you like', class: 'your class' };
    this.view.recorded({ did: 'personal-fields', otherwise }, 'fill personal fields');
  }

  protected revise(patch: { name?: string; purpose?: string }): void {
    const s = this.state();
    if (s && (patch.name === undefined || patch.name.trim()))
      this.view.work.dispatch(BenchActions.versionRevised({ familyId: s.family.id, versionId: s.version.id, patch }));
  }
}
