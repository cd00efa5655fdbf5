import { Injectable, inject } from '@angular/core';
import { MessageService } from 'primeng/api';

/** A short word at the foot of the page about what was just done, or why it was not. */
@Injectable({ providedIn: 'root' })
export class Notice {
  private readonly messages = inject(MessageService);

  done(summary: string, detail = ''): void {
    this.messages.add({ severity: 'success', summary, detail, life: 5000 });
  }

  /** Why something was not done that was asked for. */
  cannot(detail: string): void {
    this.messages.add({ severity: 'warn', summary: 'That cannot be done', detail, life: 9000 });
  }

  wrong(summary: string, detail = ''): void {
    this.messages.add({ severity: 'error', summary, detail, life: 12000 });
  }
}
