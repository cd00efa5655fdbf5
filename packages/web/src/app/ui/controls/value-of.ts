import type { Signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import type { FormGroup } from '@angular/forms';
import { map } from 'rxjs';

/** What stands in a form, as it stands. Call it where something is injected. */
export const valueOf = <G extends FormGroup>(form: G): Signal<ReturnType<G['getRawValue']>> => {
  const now = (): ReturnType<G['getRawValue']> => form.getRawValue();
  return toSignal(form.valueChanges.pipe(map(now)), { initialValue: now() });
};
