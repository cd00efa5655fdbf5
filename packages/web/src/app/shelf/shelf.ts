import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { LucideDynamicIcon } from '@lucide/angular';
import { type Id, latest, learnersWith, namesPassedOn, plainWords } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Tooltip } from 'primeng/tooltip';
import { Clock } from '../platform/clock';
import { download } from '../platform/download';
import { BringActions, ShelfActions } from '../store/actions';
import { Packs } from '../store/packs';
import { WorkspaceStore } from '../store/workspace';
import { Ask } from '../ui/ask';
import { FileButton } from '../ui/file-button';
import { growing } from '../ui/growing';
import { IconButton } from '../ui/icon-button';
import { Near } from '../ui/near';
import { Notice } from '../ui/notice';
import { Removal } from '../ui/removal';
import { SwatchMark } from '../ui/swatch';
import { duplicateFamily } from './new-family';
import { NewMaster } from './new-master';
import { dayIn } from '../ui/when';
import { Empty } from '../ui/empty';
import { ProblemCard } from '../ui/problem';
import { counted, many } from '../platform/many';

/** So many come at once. */
const CARDS = 6;

/** Where the masters are kept, each with its family. */
@Component({
  selector: 'lv-shelf',
  imports: [
    IconButton,
    ProblemCard,
    Empty,
    ButtonDirective,
    FileButton,
    InputText,
    LucideDynamicIcon,
    Near,
    NewMaster,
    RouterLink,
    SwatchMark,
    Tooltip,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './shelf.html',
  styleUrl: './shelf.css',
})
export class Shelf {
  protected readonly many = many;
  protected readonly work = inject(WorkspaceStore);
  private readonly clock = inject(Clock);
  private readonly router = inject(Router);
  private readonly notice = inject(Notice);
  private readonly ask = inject(Ask);
  private readonly removal = inject(Removal);
  private readonly files = inject(Packs);
  protected readonly problem = signal<{ name: string; message: string; details: readonly string[] } | null>(null);
  protected readonly query = signal('');
  protected readonly beginning = signal(false);

  private readonly all = computed(() =>
    this.work.familyHeads().map((head) => ({
      ...head,
      words: plainWords(
        [
          head.title,
          head.subject,
          head.ages,
          ...head.objectives.map((o) => o.text),
          ...head.versions.map((v) => v.name),
        ].join(' '),
      ),
    })),
  );
  protected readonly found = computed(() => {
    const asked = plainWords(this.query()).split(' ').filter(Boolean);
    return this.all()
      .filter((x) => asked.every((w) => x.words.includes(w)))
      .sort((a, b) => b.revisedAt.localeCompare(a.revisedAt));
  });
  protected readonly drawn = growing(() => this.query(), CARDS, 4 * CARDS);
  protected readonly shown = computed(() => {
    const handOuts = this.work.handOutHeads();
    const people = this.work.people();
    return this.found()
      .slice(0, this.drawn.budget())
      .map((head) => {
        const holders = new Set(learnersWith(handOuts, head.id));
        const classes = people.classes.filter((c) => c.learnerIds.some((id) => holders.has(id))).map((c) => c.name);
        return { ...head, on: dayIn(head.revisedAt), holders: holders.size, classes: classes.join(', ') };
      });
  });
  protected readonly any = computed(() => this.all().length > 0);

  protected async duplicate(id: Id): Promise<void> {
    const family = await this.work.familyNow(id);
    if (!family) return;
    const copy = duplicateFamily(family, this.clock.iso(), 'Teacher', () => this.clock.newId());
    this.work.dispatch(
      ShelfActions.familyAdded({ family: copy, label: `duplicate “${latest(family).content.title}”` }),
    );
    this.notice.done('Duplicated', 'The copy has the same versions and none of the pupils’ work.');
  }

  protected remove(id: Id): void {
    void this.removal.remove('activity', id);
  }

  /** For somebody else: without versions for one learner, and without reasons. */
  protected async toFile(id: Id): Promise<void> {
    const family = await this.work.familyNow(id);
    if (!family) return;
    const at = this.clock.iso();
    const { title } = latest(family).content;
    const named = namesPassedOn(family, this.files.names());
    const sure =
      named.length === 0 ||
      (await this.ask.sure({
        title: 'Names of learners stand in it',
        says: `They go out with the file: ${named.slice(0, 5).join('; ')}${named.length > 5 ? `; and ${named.length - 5} more` : ''}. Change the words on the Bench first, or save it as it is.`,
        yes: 'Save it as it is',
      }));
    if (!sure) return;
    const file = await this.files.writeFamily(family, at);
    download(file, `${title.replace(/[^\p{L}\p{N}]+/gu, '-')}.family.zip`);
    this.notice.done(
      `“${title}” was saved to a file`,
      'Versions for one learner, reasons and learners’ names on versions are not in it: it can be passed on.',
    );
  }

  protected async fromFile(file: File): Promise<void> {
    this.problem.set(null);
    const read = await this.files.readFamily(file, this.clock.newId());
    if (!read.ok) {
      this.problem.set({ name: file.name, message: read.message, details: read.details });
      return;
    }
    const { family, assets } = read;
    const { title } = latest(family).content;
    this.work.dispatch(
      BringActions.madeMaster({ family, assets: [...assets], label: `family “${title}” from a file` }),
    );
    this.notice.done(
      counted(family.versions.length, '“{title}” came in with {n} version', '“{title}” came in with {n} versions', {
        title,
      }),
      'One undo takes it back.',
    );
  }
}
