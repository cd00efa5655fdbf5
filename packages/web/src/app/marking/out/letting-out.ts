import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal } from '@angular/core';
import { answersFor, type ReleasedMark, responseTo, saidOf } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Clock } from '../../platform/clock';
import { download } from '../../platform/download';
import { counted } from '../../platform/many';
import { WorkspaceStore } from '../../store/workspace';
import { Media } from '../../ui/blocks/media';
import { CheckBox } from '../../ui/controls/check';
import { DateField } from '../../ui/controls/date';
import { Radios } from '../../ui/controls/radios';
import { growing } from '../../ui/growing';
import { Notice } from '../../ui/notice';
import { Near } from '../../ui/near';
import { SwatchMark } from '../../ui/swatch';
import { whenIn } from '../../ui/when';
import { MarkingHead } from '../head';
import { MarkingHere } from '../here';
import { NotHere } from '../not-here';
import { Letting } from './letting';
import { type ForWhom, Reporting } from './reporting';
import type { Row } from '../row';

/** Rows that are drawn at once. */
const ROWS = 15;

type FileKind = 'answers' | 'points' | 'gradebook' | 'statements';

/** When marks and words reach the learners, looked at first as each will see them; and the results as files. */
@Component({
  selector: 'lv-letting-out',
  imports: [ButtonDirective, CheckBox, InputText, DateField, MarkingHead, NotHere, Media, Near, Radios, SwatchMark],
  providers: [MarkingHere],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './letting-out.html',
  styleUrl: './letting-out.css',
})
export class LettingOut {
  readonly id = input.required<string>();
  private readonly here = inject(MarkingHere);
  private readonly clock = inject(Clock);
  private readonly work = inject(WorkspaceStore);
  protected readonly table = this.here.table;
  protected readonly answering = this.here.answering;
  protected readonly letting = new Letting(this.table.handOut, this.table.rows);
  protected readonly whenIn = whenIn;
  protected readonly counted = counted;
  protected readonly ways = [
    { id: 'once', label: 'with my decision' },
    { id: 'hand', label: 'when I let them out' },
    { id: 'at', label: 'at a time' },
  ];
  protected readonly files: readonly { readonly is: FileKind; readonly name: string }[] = [
    { is: 'answers', name: 'Every answer and its mark (CSV)' },
    { is: 'points', name: 'Points of everybody (CSV)' },
    { is: 'gradebook', name: 'Line item and results (OneRoster)' },
    { is: 'statements', name: 'Statements (xAPI)' },
  ];

  protected readonly reporting = inject(Reporting);
  private readonly notice = inject(Notice);
  /** What is decided and out: what is held back goes into a report only when it is asked for by name. */
  protected readonly decided = computed(() => this.table.rows().filter((r) => r.response?.decision && !r.isHeld));

  /** A time is being chosen. */
  private readonly timed = signal(false);
  protected readonly way = computed(() => {
    const at = this.table.handOut()?.marksAt ?? null;
    if (at) return 'at';
    return this.timed() ? 'at' : at === null ? 'once' : 'hand';
  });
  protected setWay(way: string): void {
    this.timed.set(way === 'at');
    // Until a time is said, it waits for one.
    this.letting.setMarksAt(way === 'once' ? null : '');
  }

  protected readonly drawn = growing(() => this.id(), ROWS, 2 * ROWS);
  protected readonly rows = computed(() => this.table.rows().slice(0, this.drawn.budget()));
  protected readonly held = computed(() => this.table.rows().filter((r) => r.response?.decision && r.isHeld));
  protected readonly chosen = signal('');
  /** Whose words are looked at: the one that was chosen, else the first that is decided on. */
  protected readonly row = computed(() => {
    const rows = this.table.rows();
    return rows.find((r) => r.learnerId === this.chosen()) ?? rows.find((r) => r.response?.decision) ?? rows[0];
  });
  /** What the learner sees once it is out. */
  protected readonly preview = computed(() => {
    const row = this.row();
    const { marking, response } = row ?? {};
    if (!row || !marking || !response?.decision) return null;
    const out = marking.responses.map(({ heldUntil: _, ...r }) => r);
    const said = saidOf({ ...marking, responses: out });
    const numberOf = (id: string) => row.numbers.get(id) ?? 0;
    const marks = Object.entries(said.marks);
    const are = (...v: ReleasedMark['verdict'][]) =>
      marks.flatMap(([id, m]) => (v.includes(m.verdict) ? [numberOf(id)] : [])).sort((a, b) => a - b);
    return {
      decision: response.decision === 'complete' ? 'This work is done.' : 'Your teacher asks for another go.',
      comment: said.comment,
      voice: said.voice,
      groups: [
        { name: 'What went well: right are', numbers: are('right') },
        { name: 'Partly right:', numbers: are('partly') },
        {
          name: response.decision === 'complete' ? 'Still to learn:' : 'Have another look at:',
          numbers: are('not-yet', 'empty'),
        },
      ].filter((g) => g.numbers.length),
      points:
        this.table.handOut()?.points && marks.length
          ? this.pointsSaid(
              said.points,
              marks.map(([, m]) => m),
            )
          : '',
      comments: Object.entries(said.comments).map(([id, text]) => ({ id, number: numberOf(id), text })),
      voices: Object.entries(said.voices).map(([id, assetId]) => ({ id, number: numberOf(id), assetId })),
      sheets: said.sheets.length
        ? counted(said.sheets.length, 'The sheet with what you wrote on it', '{n} sheets with what you wrote on them')
        : '',
      only: said.only.length ? `Only these can be answered anew: ${said.only.map(numberOf).join(', ')}` : '',
    };
  });

  constructor() {
    effect(() => this.here.id.set(this.id()));
  }

  /** Whether the answers are out to a learner: now, or from when on; null is not. */
  protected answersOf(r: Row): { readonly isOut: boolean; readonly at: string } {
    const h = this.table.handOut();
    const at = (h && answersFor(h, r.memberIds[0] ?? r.learnerId)) ?? '';
    return { isOut: at !== '' && at <= this.clock.minute(), at };
  }

  /** Points as the desk tells them: of what is marked, or as they were given to the whole. */
  private pointsSaid(whole: number | null, marks: readonly ReleasedMark[]): string {
    const sum = (all: readonly ReleasedMark[], of: (m: ReleasedMark) => number) =>
      Math.round(100 * all.reduce((n, m) => n + of(m), 0)) / 100;
    if (whole !== null) return `${whole} of ${sum(marks, (m) => m.outOf)}`;
    const counted = marks.filter((m) => m.verdict !== 'yours');
    const of = sum(counted, (m) => m.outOf);
    return of ? `${sum(counted, (m) => m.points)} of ${of}` : '';
  }

  protected async report(rows: readonly Row[], forWhom: ForWhom): Promise<void> {
    const h = this.table.handOut();
    if (!h) return;
    try {
      const pdf = await this.reporting.pdf(h, rows, this.work.people().learners, forWhom);
      const of = forWhom === 'learner' ? 'report' : 'family-report';
      if (pdf) download(pdf, `${fileName(h.title)}-${of}.pdf`);
      else this.notice.wrong('No report was written', 'Decide on the work first: complete, or another go.');
    } catch {
      this.notice.wrong('The report could not be written', 'Try it once more. Nothing was changed.');
    }
  }

  protected async file(is: FileKind): Promise<void> {
    const h = this.table.handOut();
    if (!h) return;
    const { resultOf, answersCsv, pointsCsv, gradebookPackage, statementsOf } = await import('@lorvet/core/results');
    const { learners, classes } = this.work.people();
    const rosterIds = new Map(learners.map((l) => [l.id, l.rosterId]));
    const works = this.table.rows().flatMap((r) =>
      r.memberIds.map((id) =>
        resultOf({
          learner: {
            id,
            name: r.members ? `${this.table.nameOf(id)} (${r.name})` : r.name,
            rosterId: rosterIds.get(id) ?? '',
          },
          frozen: r.frozen,
          base: r.base,
          state: r.state,
          go: r.go,
          response: r.go && responseTo(r.marking, r.go.n),
          accepted: h.accepted,
        }),
      ),
    );
    const results = { handOut: h, works };
    const name = fileName(h.title);
    const csv = { type: 'text/csv;charset=utf-8' };
    if (is === 'answers') download(new Blob([answersCsv(results)], csv), `${name}-answers.csv`);
    else if (is === 'points') {
      const columns = this.table.columns().map((c) => ({ id: c.id, name: `${c.name} ${c.short}`.slice(0, 80) }));
      download(new Blob([pointsCsv(results, columns)], csv), `${name}-points.csv`);
    } else if (is === 'gradebook') {
      const classId = h.classIds[0] ?? classes[0]?.id ?? '';
      const bytes = gradebookPackage(results, classId, this.clock.iso());
      download(new Blob([bytes as BlobPart], { type: 'application/zip' }), `${name}-oneroster.zip`);
    } else {
      const from = { school: 'lorvet', now: this.clock.iso(), uuid: () => crypto.randomUUID() };
      const json = JSON.stringify(statementsOf(results, from), null, 2);
      download(new Blob([json], { type: 'application/json' }), `${name}-statements.json`);
    }
  }
}

const fileName = (title: string): string => title.replace(/[^\p{L}\p{N}]+/gu, '-').slice(0, 60);
