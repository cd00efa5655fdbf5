import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { Router } from '@angular/router';
import { type CodePicture, Lock } from '../platform/lock';
import { Focused } from '../ui/focused';
import { pauseOf } from '../ui/pause';
import { PictureCode } from '../ui/picture-code';
import { DeskSession } from './desk-session';
import { TeacherDoor } from './teacher-door';

/** The shared machine: choose the class, then the name. */
@Component({
  selector: 'lv-desk-door',
  imports: [Focused, PictureCode, TeacherDoor],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <main>
      @if (asked(); as l) {
        <h1 lvFocused>{{ l.name }}, press your three pictures</h1>
        <lv-picture-code [locked]="pause.seconds() > 0" (chosen)="press(l.id, $event)" />
        <p role="alert">{{ says() }}</p>
        <button class="btn quiet" type="button" (click)="learnerId.set('')">I am somebody else</button>
      } @else if (chosen(); as c) {
        <h1 lvFocused>Who are you?</h1>
        <ul>
          @for (l of names(); track l.id) {
            <li>
              <button class="btn" type="button" (click)="sit(l.id)">{{ l.name }}</button>
            </li>
          } @empty {
            <li class="none">Nobody is in this class yet.</li>
          }
        </ul>
        <button class="btn quiet" type="button" (click)="classId.set('')">Another class than {{ c.name }}</button>
      } @else {
        <h1 lvFocused>Which class are you in?</h1>
        <ul>
          @for (c of classes(); track c.id) {
            <li>
              <button class="btn" type="button" (click)="classId.set(c.id)">{{ c.name }}</button>
            </li>
          } @empty {
            <li class="none">There are no classes yet. Your teacher puts you in one.</li>
          }
        </ul>
      }
      <lv-teacher-door />
    </main>
  `,
  styleUrl: './desk.css',
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
      grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
      gap: 12px;
      width: 100%;
    }
    li .btn {
      width: 100%;
      min-height: 62px;
      font-size: 21px;
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
  private readonly session = inject(DeskSession);
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
    if (s > 0) return `Those are not your pictures. Wait ${s} second${s === 1 ? '' : 's'}, or ask your teacher.`;
    return this.wrong() ? 'Those are not your pictures. Try again.' : '';
  });
  protected readonly chosen = computed(() => this.classes().find((c) => c.id === this.classId()));
  protected readonly names = computed(() =>
    [...(this.chosen()?.learners ?? [])].sort((a, b) => a.name.localeCompare(b.name)),
  );

  constructor() {
    this.session.leave();
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
