import { afterNextRender, ChangeDetectionStrategy, Component, DestroyRef, inject } from '@angular/core';
import { Toast } from 'primeng/toast';
import { Notice } from './notice';

/** Where notices are shown. */
@Component({
  selector: 'lv-notices',
  imports: [Toast],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<p-toast position="bottom-center" [style]="{ width: 'min(25rem, calc(100vw - 24px))' }" />`,
})
export class Notices {
  constructor() {
    const notice = inject(Notice);
    afterNextRender(() => notice.show(true));
    inject(DestroyRef).onDestroy(() => notice.show(false));
  }
}
