/** The day of an instant (ISO) where this machine is, as an ISO date. */
export function localDay(iso: string): string {
  const at = new Date(iso);
  return new Date(at.getTime() - at.getTimezoneOffset() * 60_000).toISOString().slice(0, 10);
}
