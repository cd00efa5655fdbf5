import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { DeskSession } from './desk-session';

/** The shared machine: choose the class, then the name. */
@Component({
  selector: 'lv-desk-door',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <main>
      @if (chosen(); as c) {
        <h1>Who are you?</h1>
        <ul>
          @for (l of names(); track l.id) {
            <li>
              <button class="btn" type="button" (click)="sit(l.id)">{{ l.name }}</button>
            </li>
          } @empty {
            <li>Nobody is in this class yet.</li>
          }
        </ul>
        <button class="btn quiet" type="button" (click)="classId.set('')">Another class than {{ c.name }}</button>
      } @else {
        <h1>Which class are you in?</h1>
        <ul>
          @for (c of classes(); track c.id) {
            <li>
              <button class="btn" type="button" (click)="classId.set(c.id)">{{ c.name }}</button>
            </li>
          } @empty {
            <li>There are no classes yet.</li>
          }
        </ul>
      }
      <a class="teacher" routerLink="/shelf">I am the teacher</a>
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
    .teacher {
      font-size: 16px;
      color: var(--ink-2);
      min-height: 40px;
    }
  `,
})
export class DeskDoor {
  private readonly session = inject(DeskSession);
  protected readonly classes = this.session.classes;
  private readonly router = inject(Router);
  protected readonly classId = signal('');
  protected readonly chosen = computed(() => this.classes().find((c) => c.id === this.classId()));
  protected readonly names = computed(() =>
    [...(this.chosen()?.learners ?? [])].sort((a, b) => a.name.localeCompare(b.name)),
  );

  constructor() {
    this.session.leave();
  }

  protected sit(id: string): void {
    this.session.sit(id);
    void this.router.navigate(['/desk/work']);
  }
}
