import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterLink } from '@angular/router';
import { ButtonDirective } from 'primeng/button';
import { Empty } from '../ui/empty';

/** What stands in place of the work of a hand-out that is not there. */
@Component({
  selector: 'lv-not-here',
  imports: [ButtonDirective, Empty, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <lv-empty alone heading="This hand-out is not here"
      >It may have been removed. It waits under Keeping then, and can be put back.
      <a pButton severity="secondary" routerLink="/marking">All marking</a></lv-empty
    >
  `,
})
export class NotHere {}
