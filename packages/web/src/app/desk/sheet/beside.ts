import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { Focused } from '../../ui/focused';
import { DeskSession } from '../desk-session';
import { SheetView } from './sheet-view';
import { saying } from '../../ui/say/say';

/** An activity that goes with a piece of work or a notice, to look at. */
@Component({
  selector: 'lv-desk-beside',
  imports: [Focused, RouterLink, SheetView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (sheet(); as s) {
      <lv-sheet-view
        [sheet]="s"
        [comfort]="session.comfort()"
        [start]="session.start()"
        [tools]="session.tools()"
        (comfortChanged)="session.setComfort($event)"
        [locked]="true"
        [name]="session.learner()?.name ?? ''"
        [status]="t('To look at')"
        (left)="leave()"
      />
    } @else if (ready()) {
      <main>
        <h1 lvFocused>{{ t('This is not here any more') }}</h1>
        <p>
          <a class="btn" routerLink="/desk/work">{{ t('My work') }}</a>
        </p>
      </main>
    }
  `,
  styleUrl: '../desk.css',
})
export class DeskBeside {
  protected readonly t = saying();
  readonly handOutId = input.required<string>();
  readonly companionId = input.required<string>();
  protected readonly session = inject(DeskSession);
  private readonly router = inject(Router);
  protected readonly ready = this.session.hold(() => this.handOutId());
  protected readonly sheet = computed(() => this.session.beside(this.handOutId(), this.companionId()));

  constructor() {
    this.session.speaks();
  }

  protected leave(): void {
    void this.router.navigate(['/desk/work']);
  }
}
