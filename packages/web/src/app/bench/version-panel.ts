import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { Soon } from '../ui/soon';
import { AdjustmentList } from './adjustment-list';
import { BlockHere } from './block-here';
import { VersionHere } from './version-here';
import { WholeVersion } from './whole-version';

/** Beside a version: what can be done here, what has been done, and what it comes to. */
@Component({
  selector: 'lv-version-panel',
  imports: [AdjustmentList, BlockHere, Soon, WholeVersion],
  providers: [VersionHere],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (here.chosen()) {
      <lv-block-here />
      <lv-adjustment-list *lvSoon />
    } @else {
      <lv-whole-version />
    }
  `,
  styles: `
    :host {
      display: block;
    }
  `,
})
export class VersionPanel {
  protected readonly here = inject(VersionHere);
}
