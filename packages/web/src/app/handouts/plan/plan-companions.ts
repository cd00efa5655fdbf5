import { ChangeDetectionStrategy, Component, inject, input, output, signal } from '@angular/core';
import { LucideDynamicIcon } from '@lucide/angular';
import { activityBeside, type Companion, MOST_COMPANIONS, safeAddress } from '@lorvet/core';
import { ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Textarea } from 'primeng/textarea';
import { Clock } from '../../platform/clock';
import { readMedia, readPicture } from '../../platform/files';
import type { KeptAsset } from '../../platform/storage/kept-asset';
import { BenchActions } from '../../store/actions';
import { Parts } from '../../store/parts';
import { WorkspaceStore } from '../../store/workspace';
import { Take } from '../../ui/blocks/take';
import { FileButton } from '../../ui/file-button';
import { SELECT } from '../../ui/controls/select';
import { IconButton } from '../../ui/icon-button';
import { counted } from '../../platform/many';

/** What can be added beside files and addresses, and what it is called at first. */
const KINDS = [
  ['page', 'words to read', 'To read'],
  ['notes', 'a sheet for notes, that nobody marks', 'Notes'],
  ['spoken', 'spoken instructions', 'Listen first'],
  ['family', 'words for those at home', 'For those at home'],
] as const;

/** What goes with a hand-out: addresses, words to read, words for those at home. */
@Component({
  selector: 'lv-plan-companions',
  imports: [IconButton, ButtonDirective, FileButton, InputText, LucideDynamicIcon, Take, Textarea, ...SELECT],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <fieldset>
      <legend>With it</legend>
      @for (c of list(); track c.id) {
        <div class="one">
          <div class="row">
            <input
              pInputText
              #t
              class="grow"
              maxlength="200"
              [value]="c.title"
              [attr.aria-label]="'What it is called: ' + c.title"
              (change)="change(c, { title: t.value.trim() || c.title })"
            />
            <button
              type="button"
              lvIcon="x"
              [says]="'Take away: ' + c.title"
              (click)="changed.emit(without(c))"
            ></button>
          </div>
          @if (c.is === 'link') {
            <input
              pInputText
              #a
              maxlength="2000"
              placeholder="https://"
              [value]="c.address"
              [attr.aria-label]="'Address of ' + c.title"
              (change)="change(c, { address: a.value.trim() || c.address })"
            />
            <p class="small">{{ hostOf(c.address) || 'This is no address of the web yet.' }}</p>
          }
          @if (SAYS[c.is]; as says) {
            <p class="small">{{ says }}</p>
          }
          @if (c.is === 'page' || c.is === 'family') {
            <textarea
              pTextarea
              #w
              rows="3"
              [attr.maxlength]="c.is === 'page' ? 20000 : 5000"
              [value]="c.text"
              [attr.aria-label]="'Words of ' + c.title"
              (change)="change(c, { text: w.value })"
            ></textarea>
          }
        </div>
      }
      <form class="row" (submit)="$event.preventDefault(); paste(p.value); p.value = ''">
        <input
          pInputText
          #p
          class="grow"
          maxlength="4000"
          (paste)="pasted($event)"
          aria-label="Address that goes with it"
          placeholder="paste one or several"
        /><button lvIcon="plus" framed type="submit" says="Add the address"></button>
      </form>
      <lv-file-button accept="image/*,audio/*,video/mp4,video/webm,application/pdf,.pdf" (chosen)="file($event)"
        ><svg lucideIcon="upload"></svg>A file</lv-file-button
      >
      @if (recording()) {
        <lv-take what="voice" (taken)="spoken($event)" />
        <button pButton severity="secondary" text type="button" (click)="recording.set(false)">No recording</button>
      }
      <lv-select label="Something else" hideLabel placeholder="Add something else …" value="" (chosen)="add($event)">
        @for (k of kinds; track k[0]) {
          <lv-option [value]="k[0]" [label]="k[1]" />
        }
      </lv-select>
      <lv-select
        label="Another activity"
        hideLabel
        placeholder="Another activity, to look at …"
        value=""
        (chosen)="beside($event)"
      >
        @for (f of families(); track f.id) {
          <lv-option [value]="f.id" [label]="f.title" />
        }
      </lv-select>
      @if (wrong()) {
        <p class="small wrong" role="alert">{{ wrong() }}</p>
      }
    </fieldset>
  `,
  styleUrl: './panel.css',
  styles: `
    fieldset,
    .one {
      display: grid;
      gap: 6px;
    }
    .one {
      padding-bottom: 8px;
      border-bottom: 1px solid var(--line);
    }
    .row {
      flex-wrap: nowrap;
    }
    input {
      min-width: 0;
    }
    .wrong {
      color: var(--madder);
    }
  `,
})
export class PlanCompanions {
  readonly list = input.required<readonly Companion[]>();
  readonly changed = output<readonly Companion[]>();
  private readonly clock = inject(Clock);
  private readonly work = inject(WorkspaceStore);
  private readonly parts = inject(Parts);
  protected readonly families = this.work.familyHeads;
  protected readonly SAYS: Readonly<Record<string, string>> = {
    activity: 'An activity, to look at: its master as it is when it is given.',
    file: 'A file.',
    notes: 'A sheet for notes, that nobody marks.',
    spoken: 'A recording.',
    family: 'For those at home.',
  };
  protected readonly kinds = KINDS;
  /** Whether something is being recorded. */
  protected readonly recording = signal(false);
  protected readonly wrong = signal('');

  /** Where an address leads, so that it is seen to be the one that was meant; empty for none. */
  protected hostOf(address: string): string {
    const safe = safeAddress(address);
    return safe ? `leads to ${safe.host}` : '';
  }

  /** Addresses that are pasted are taken at once: one, or several with spaces or lines between them. */
  protected pasted(event: ClipboardEvent): void {
    const text = event.clipboardData?.getData('text') ?? '';
    if (
      !text
        .trim()
        .split(/\s+/)
        .every((a) => safeAddress(a))
    )
      return;
    event.preventDefault();
    this.paste(text);
  }

  protected paste(text: string): void {
    const all = text.trim().split(/\s+/).filter(Boolean);
    const bad = all.find((a) => a.length > 2000 || !safeAddress(a));
    this.wrong.set(bad ? `“${bad.slice(0, 40)}” is no address of the web, such as https://tides.example.` : '');
    const added = all.flatMap((address): Companion[] => {
      const safe = address.length > 2000 ? null : safeAddress(address);
      return safe ? [{ id: this.clock.newId(), is: 'link', title: safe.host, address }] : [];
    });
    if (added.length) this.adding(...added);
  }

  protected add(wanted: string): void {
    const found = KINDS.find(([k]) => k === wanted);
    if (!found) return;
    const [kind, , title] = found;
    const one = { id: this.clock.newId(), title };
    if (kind === 'spoken') this.recording.set(true);
    else this.adding(kind === 'notes' ? { ...one, is: kind } : { ...one, is: kind, text: '' });
  }

  /** Another activity, of which the whole master is seen; it is held fast when it is given. */
  protected async beside(familyId: string): Promise<void> {
    if (!familyId) return;
    await this.parts.during(async (want) => {
      await want('families', [familyId]);
      const family = this.work.families()[familyId];
      if (family) this.adding(activityBeside(this.clock.newId(), family));
    });
  }

  /** A picture, sound, video or PDF. */
  protected async file(file: File): Promise<void> {
    const sort = file.type.split('/')[0];
    const taken =
      sort === 'image'
        ? await readPicture(file)
        : await readMedia(file, sort === 'audio' ? 'sound' : sort === 'video' ? 'video' : 'pdf');
    this.wrong.set('problem' in taken ? taken.problem : '');
    if (!('problem' in taken)) this.keep(taken, 'file', file.name.replace(/\.[^.]{1,5}$/, '') || file.name);
  }

  protected spoken(asset: KeptAsset): void {
    this.recording.set(false);
    this.keep(asset, 'spoken', 'Listen first');
  }

  private keep(asset: KeptAsset, is: 'file' | 'spoken', title: string): void {
    if (this.list().length < MOST_COMPANIONS) this.work.dispatch(BenchActions.pictureAdded({ asset }));
    this.adding({ id: this.clock.newId(), is, title: title.slice(0, 200), assetId: asset.id });
  }

  /** As many of them as have room; the others are said to be left out. */
  private adding(...more: Companion[]): void {
    const taken = more.slice(0, MOST_COMPANIONS - this.list().length);
    const left = more.length - taken.length;
    if (left)
      this.wrong.set(
        counted(
          left,
          '{most} things can go with a hand-out; {n} was left out.',
          '{most} things can go with a hand-out; {n} were left out.',
          { most: MOST_COMPANIONS },
        ),
      );
    if (taken.length) this.changed.emit([...this.list(), ...taken]);
  }

  protected change(companion: Companion, patch: { title?: string; address?: string; text?: string }): void {
    this.changed.emit(this.list().map((c) => (c.id === companion.id ? ({ ...c, ...patch } as Companion) : c)));
  }

  protected without(companion: Companion): readonly Companion[] {
    return this.list().filter((c) => c.id !== companion.id);
  }
}
