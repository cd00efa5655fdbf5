import { Injectable, inject, signal } from '@angular/core';
import { MessageService, type ToastMessageOptions } from 'primeng/api';

/** A short word at the foot of the page about what was just done, or why it was not. */
@Injectable({ providedIn: 'root' })
export class Notice {
  private readonly messages = inject(MessageService);
  /** Whether anything was said yet: what shows it is fetched then. */
  readonly isWanted = signal(false);
  private isShown = false;
  private unshown: { readonly message: ToastMessageOptions; readonly at: number }[] = [];

  done(summary: string, detail = ''): void {
    this.say({ severity: 'success', summary, detail, life: 5000 });
  }

  /** Why something was not done that was asked for. */
  cannot(detail: string): void {
    this.say({ severity: 'warn', summary: 'That cannot be done', detail, life: 9000 });
  }

  wrong(summary: string, detail = ''): void {
    this.say({ severity: 'error', summary, detail, life: 12000 });
  }

  /** From now on there is, or is no more, a place that shows what is said; what was said just now is said to it. */
  show(isShown: boolean): void {
    this.isShown = isShown;
    if (!isShown) return;
    for (const { message, at } of this.unshown.splice(0))
      if (Date.now() - at < (message.life ?? 0)) this.messages.add(message);
  }

  private say(message: ToastMessageOptions): void {
    if (!this.isShown) this.unshown.push({ message, at: Date.now() });
    this.isWanted.set(true);
    this.messages.add(message);
  }
}
