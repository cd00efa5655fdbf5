import { fingerprint } from '../activity/fingerprint';
import type { Settings } from '../activity/activity';
import { type Applied, nothing } from './adjustment';
import type { Sheet } from './sheet';

/** Applies what is said of the whole activity; it speaks of no block, so that no change of the basis concerns it. */
export function setting(sheet: Sheet, change: Partial<Settings>): Applied {
  const before = sheet.settings();
  const settings: Settings = { ...before, ...change };
  if (fingerprint(settings) === fingerprint(before ?? {})) return nothing;
  return { edits: [{ edit: 'settings', before, settings }], missed: [] };
}
