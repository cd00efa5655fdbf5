import { Injectable, signal } from '@angular/core';
import { Answering } from './answering';
import { WorkTable } from './work-table';

/** The hand-out whose work is looked at: what came back of it, and what the teacher answers. One for each open view. */
@Injectable()
export class MarkingHere {
  readonly id = signal('');
  readonly table = new WorkTable(() => this.id());
  readonly answering = new Answering(this.table.handOut, this.table.rows);
}
