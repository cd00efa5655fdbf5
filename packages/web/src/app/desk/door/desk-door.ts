import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { Router } from '@angular/router';
import { LucideDynamicIcon } from '@lucide/angular';
import { type CodePicture, Lock } from '../../platform/lock';
import { Focused } from '../../ui/focused';
import { pauseOf } from '../../ui/pause';
import { PictureCode } from '../../ui/picture-code';
import { LANGUAGES } from '../../ui/say/tables';
import { DeskSession } from '../desk-session';
import { TeacherDoor } from './teacher-door';
import { saying } from '../../ui/say/say';

/** The shared machine: choose the class, then the name. */
@Component({
  selector: 'lv-desk-door',
  imports: [Focused, LucideDynamicIcon, PictureCode, TeacherDoor],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <main>
      @if (asked(); as l) {
        <h1 lvFocused>{{ t('{name}, press your three pictures', { name: l.name }) }}</h1>
        <lv-picture-code [locked]="pause.seconds() > 0" (chosen)="press(l.id, $event)" />
        <p role="alert">{{ says() }}</p>
        <button class="btn quiet" type="button" (click)="learnerId.set('')">{{ t('I am somebody else') }}</button>
      } @else if (chosen(); as c) {
        <h1 lvFocused>{{ t('Who are you?') }}</h1>
        <ul>
          @for (l of names(); track l.id) {
            <li>
              <button class="btn" type="button" (click)="sit(l.id)">{{ l.name }}</button>
            </li>
          } @empty {
            <li class="none">{{ t('Nobody is in this class yet.') }}</li>
          }
        </ul>
        <button class="btn quiet" type="button" (click)="classId.set('')">
          {{ t('Another class than {name}', { name: c.name }) }}
        </button>
      } @else {
        <h1 lvFocused>{{ t('Which class are you in?') }}</h1>
        <ul>
          @for (c of classes(); track c.id) {
            <li>
              <button class="btn" type="button" (click)="classId.set(c.id)">{{ c.name }}</button>
            </li>
          } @empty {
            <li class="none">{{ t('There are no classes yet. Your teacher puts you in one.') }}</li>
          }
        </ul>
      }
      <label class="speaks"
        ><svg lucideIcon="languages" aria-hidden="true"></svg><span class="sr">{{ t('Language of the desk') }}</span>
        <select #language [value]="session.doorLanguage()" (change)="session.speakAtDoor(language.value)">
          @for (l of languages; track l.code) {
            <option [value]="l.code" [attr.lang]="l.code" [selected]="l.code === session.doorLanguage()">
              {{ l.name }}
            </option>
          }
        </select>
      </label>
      <lv-teacher-door />
    </main>
  `,
  styleUrl: '../desk.css',
  styles: `
    main {
      max-width: 860px;
      margin: 0 auto;
      padding: 70px 20px 30px;
      display: grid;
      gap: 26px;
      justify-items: center;
    }
    h1 {
      outline-offset: 6px;
      font-size: 34px;
    }
    ul {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(190px, 220px));
      justify-content: center;
      gap: 12px;
      width: 100%;
    }
    li .btn {
      width: 100%;
      min-height: 62px;
      font-size: 21px;
    }
    .speaks {
      display: flex;
      align-items: center;
      gap: 8px;
    }
    .speaks select {
      min-height: 46px;
      padding: 4px 10px;
      border: 1px solid var(--line-strong);
      border-radius: var(--r);
      background: var(--surface);
      font: inherit;
    }
    .none {
      grid-column: 1 / -1;
      text-align: center;
    }
    p:empty {
      display: none;
    }
  `,
})
export class DeskDoor {
  protected readonly t = saying();
  protected readonly session = inject(DeskSession);
  protected readonly languages = LANGUAGES;
  protected readonly classes = this.session.classes;
  private readonly router = inject(Router);
  private readonly lock = inject(Lock);
  protected readonly classId = signal('');
  /** Whose pictures are asked for. */
  protected readonly learnerId = signal('');
  protected readonly asked = computed(() => this.chosen()?.learners.find((l) => l.id === this.learnerId()));
  protected readonly pause = pauseOf(() => (this.learnerId() ? this.lock.pause(this.learnerId()) : 0));
  private readonly wrong = signal(false);
  protected readonly says = computed(() => {
    const s = this.pause.seconds();
    if (s > 0) return this.t('Those are not your pictures. Wait {count} seconds, or ask your teacher.', { count: s });
    return this.wrong() ? this.t('Those are not your pictures. Try again.') : '';
  });
  protected readonly chosen = computed(() => this.classes().find((c) => c.id === this.classId()));
  protected readonly names = computed(() =>
    [...(this.chosen()?.learners ?? [])].sort((a, b) => a.name.localeCompare(b.name)),
  );

  constructor() {
    this.session.leave();
    this.session.speaks();
  }

  protected sit(id: string): void {
    if (this.lock.hasCode(id)) {
      this.learnerId.set(id);
      this.wrong.set(false);
      this.pause.look();
      return;
    }
    this.goOn(id);
  }

  protected async press(id: string, code: readonly CodePicture[]): Promise<void> {
    const said = await this.lock.sits(id, code);
    this.pause.look();
    this.wrong.set(said !== 'open');
    if (said === 'open' && this.learnerId() === id) this.goOn(id);
  }

  private goOn(id: string): void {
    this.session.sit(id);
    void this.router.navigate(['/desk/work']);
  }
}
