import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  type ElementRef,
  inject,
  signal,
  viewChild,
  ViewEncapsulation,
} from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { LucideDynamicIcon } from '@lucide/angular';
import { Calendar as Board, type EventInput } from '@fullcalendar/core';
import dayGrid from '@fullcalendar/daygrid';
import list from '@fullcalendar/list';
import {
  type HandOutHead,
  handOutState,
  type HandOutState,
  holdersOf,
  type Id,
  NO_DAYS_OFF,
  recipientsOf,
  SCHOOL_ID,
} from '@lorvet/core';
import { calendarDates, datesOfLearner, writeCalendar } from '@lorvet/core/calendar';
import { ButtonDirective } from 'primeng/button';
import { Clock } from '../platform/clock';
import { download } from '../platform/download';
import { Parts } from '../store/parts';
import { WorkspaceStore } from '../store/workspace';
import { SELECT } from '../ui/controls/select';
import { holdsWords } from '../ui/holds-words';
import { IconButton } from '../ui/icon-button';
import { Notice } from '../ui/notice';
import { Find } from '../ui/table/find';

const VIEWS = [
  { id: 'dayGridMonth', name: 'Month' },
  { id: 'dayGridWeek', name: 'Week' },
  { id: 'listMonth', name: 'List' },
] as const;
const STATES: readonly HandOutState[] = ['draft', 'scheduled', 'given out', 'closed', 'taken back'];
const WHAT = { opens: 'Opens', due: 'Due', closes: 'Closes', answers: 'Answers' } as const;

/** All hand-outs by their dates: a month, a week or a list; as a calendar file for a class or a learner. */
@Component({
  selector: 'lv-calendar',
  imports: [IconButton, ButtonDirective, Find, LucideDynamicIcon, RouterLink, ...SELECT],
  changeDetection: ChangeDetectionStrategy.OnPush,
  encapsulation: ViewEncapsulation.None,
  templateUrl: './calendar.html',
  styleUrl: './calendar.css',
})
export class HandOutCalendar {
  private readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  private readonly router = inject(Router);
  private readonly parts = inject(Parts);
  private readonly notice = inject(Notice);
  private readonly host = viewChild.required<ElementRef<HTMLElement>>('board');
  private board: Board | undefined;
  protected readonly VIEWS = VIEWS;
  protected readonly STATES = STATES;
  protected readonly people = this.work.people;
  /** A month does not fit a phone. */
  protected readonly view = signal<string>(innerWidth < 700 ? 'listMonth' : 'dayGridMonth');
  /** What is shown, in words: “November 2026”. */
  protected readonly title = signal('');
  protected readonly sought = signal('');
  protected readonly classId = signal('');
  protected readonly state = signal('');
  protected readonly heads = computed(() => {
    const people = this.people();
    const inClass = new Set(people.classes.find((c) => c.id === this.classId())?.learnerIds);
    const now = this.clock.minute();
    return this.work.handOutHeads().filter((h) => {
      if (h.isTemplate || !holdsWords(this.sought(), h.title, h.unit, h.category)) return false;
      if (this.state() && handOutState(h, now) !== this.state()) return false;
      return !this.classId() || this.idsOf(h).some((id) => inClass.has(id));
    });
  });
  private readonly events = computed((): EventInput[] => {
    const now = this.clock.minute();
    const days = this.work.calendars()[SCHOOL_ID] ?? NO_DAYS_OFF;
    const off = days.off.map((o) => ({
      start: o.from,
      // It lasts until the morning after.
      end: dayAfter(o.until || o.from),
      display: 'background',
      title: o.name || 'no school',
    }));
    return [
      ...off,
      ...this.reviews(),
      ...this.heads().flatMap((h) => {
        const state = handOutState(h, now);
        return calendarDates(h).map((d) => ({
          id: d.id,
          title: `${WHAT[d.what]}: ${h.title}, ${state}`,
          start: d.at,
          url: `/hand-outs/${h.id}`,
          classNames: [`is-${d.what}`, `is-${state.replace(' ', '-')}`],
          extendedProps: { handOutId: h.id },
        }));
      }),
    ];
  });
  /** Days on which agreed supports are looked at again and goals are due: several of one learner on one day are one. */
  private readonly reviews = computed((): EventInput[] => {
    const { learners, classes } = this.people();
    const inClass = new Set(classes.find((c) => c.id === this.classId())?.learnerIds);
    if (this.state()) return [];
    return learners
      .filter((l) => (!this.classId() || inClass.has(l.id)) && holdsWords(this.sought(), l.name, 'review'))
      .flatMap((l) => {
        const days = new Map<string, string[]>();
        const note = (day: string, what: string) => days.set(day, [...(days.get(day) ?? []), what]);
        for (const s of l.needs.supports) if (s.reviewOn) note(s.reviewOn, s.what);
        for (const g of l.needs.goals) if (g.by) note(g.by, g.text);
        return [...days].map(([day, what]) => ({
          id: `review ${l.id} ${day}`,
          title: `Review: ${l.name} (${what.join(', ')})`,
          start: day,
          allDay: true,
          url: `/evidence/of/${l.id}`,
          classNames: ['is-review'],
          extendedProps: { learnerId: l.id },
        }));
      });
  });
  /** Those that have no date at all stand in no month. */
  protected readonly dateless = computed(() => this.heads().filter((h) => calendarDates(h).length === 0).length);

  constructor() {
    afterNextRender(() => {
      this.board = new Board(this.host().nativeElement, {
        plugins: [dayGrid, list],
        initialView: this.view(),
        initialDate: this.clock.today(),
        now: () => this.clock.local(),
        locale: navigator.language,
        firstDay: 1,
        headerToolbar: false,
        height: 'auto',
        dayMaxEvents: 4,
        eventDisplay: 'block',
        displayEventTime: true,
        eventTimeFormat: { hour: '2-digit', minute: '2-digit' },
        noEventsContent: 'Nothing is given, due or closed here.',
        events: [...this.events()],
        eventClick: ({ event, jsEvent }) => {
          const { handOutId, learnerId } = event.extendedProps as { handOutId?: string; learnerId?: string };
          if (!handOutId && !learnerId) return;
          jsEvent.preventDefault();
          void this.router.navigate(handOutId ? ['/hand-outs', handOutId] : ['/evidence/of', learnerId]);
        },
        datesSet: ({ view }) => this.title.set(view.title),
      });
      this.board.render();
    });
    effect(() => {
      const events = this.events();
      this.board?.setOption('events', [...events]);
    });
    inject(DestroyRef).onDestroy(() => this.board?.destroy());
  }

  protected show(view: string): void {
    this.view.set(view);
    this.board?.changeView(view);
  }

  protected go(to: 'prev' | 'next' | 'today'): void {
    if (to === 'today') this.board?.gotoDate(this.clock.today());
    else if (to === 'prev') this.board?.prev();
    else this.board?.next();
  }

  /** The dates of a class as everybody has them, or of a learner as they have them, as a calendar file. */
  protected async file(key: string): Promise<void> {
    const [sort, id] = [key.slice(0, 1), key.slice(2)];
    const { classes, learners } = this.people();
    const whose = (sort === 'c' ? classes : learners).find((x) => x.id === id);
    if (!whose) return;
    await this.parts.during(async (want) => {
      const now = this.clock.local();
      const given = this.work
        .handOutHeads()
        .filter((h) => h.state === 'given' && handOutState(h, now) !== 'taken back');
      const ids = new Set(sort === 'c' ? classes.find((c) => c.id === id)?.learnerIds : [id]);
      const theirs = given.filter((h) => holdersOf(h).some((x) => ids.has(x)));
      await want(
        'handOuts',
        theirs.map((h) => h.id),
      );
      const learner = sort === 'l' ? learners.find((l) => l.id === id) : undefined;
      const days = this.work.calendars()[SCHOOL_ID];
      const dates = theirs.flatMap((h) => {
        const plan = this.work.handOuts()[h.id];
        if (!plan) return [];
        return learner ? datesOfLearner(plan, learner, days) : calendarDates(plan);
      });
      if (!dates.length) {
        this.notice.done('There is no date yet', `Nothing with a date was given to ${whose.name}.`);
        return;
      }
      const file = writeCalendar(whose.name, dates, this.clock.iso());
      download(new Blob([file], { type: 'text/calendar' }), `${whose.name.replace(/[^\p{L}\p{N}]+/gu, '-')}.ics`);
    });
  }

  private idsOf(h: HandOutHead): Id[] {
    return h.state === 'draft' ? recipientsOf(h, this.people()).map((l) => l.id) : holdersOf(h);
  }
}

const dayAfter = (day: string): string =>
  new Date(Date.parse(`${day}T12:00:00Z`) + 86_400_000).toISOString().slice(0, 10);
