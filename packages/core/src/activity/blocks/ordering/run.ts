/**
 * The longest row of entries, not necessarily neighbours, that stand in the right order. Entries that show the same are one:
 * each may stand for any of its like. Right and given are what the entries show.
 */
export function longestRun(right: readonly string[], given: readonly string[]): number {
  // The longest common part of two rows; in it an entry that is there twice is met twice.
  let row: number[] = right.map(() => 0).concat(0);
  for (const g of given) {
    const next = [0];
    right.forEach((r, i) => next.push(r === g ? (row[i] ?? 0) + 1 : Math.max(row[i + 1] ?? 0, next[i] ?? 0)));
    row = next;
  }
  return row.at(-1) ?? 0;
}

/** Up to as many entries every order is looked at; beyond, as many orders as MOST. */
const ALL_UP_TO = 6;
const MOST = 400;
const known = new Map<string, number>();

/** How long the longest run is on average where the order is left to chance. The same entries always give the same figure. */
export function runByChance(right: readonly string[]): number {
  // Only which entries are alike counts, not what they show.
  const like = right.map((r) => right.indexOf(r));
  const key = like.join(' ');
  let mean = known.get(key);
  if (mean === undefined) {
    const rows = like.map(String);
    const orders = rows.length <= ALL_UP_TO ? [...everyOrder(rows)] : someOrders(rows);
    mean = orders.reduce((n, o) => n + longestRun(rows, o), 0) / orders.length;
    known.set(key, mean);
  }
  return mean;
}

function* everyOrder(entries: readonly string[]): Generator<string[]> {
  if (entries.length <= 1) yield [...entries];
  for (let i = 0; i < entries.length && entries.length > 1; i++)
    for (const rest of everyOrder(entries.filter((_, k) => k !== i))) yield [entries[i] ?? '', ...rest];
}

/** Orders by a fixed sequence of numbers (Park and Miller's), so that a mark is the same on every day. */
function someOrders(entries: readonly string[]): string[][] {
  let seed = 20_261_128;
  const next = (below: number) => (seed = (seed * 48_271) % 2_147_483_647) % below;
  return Array.from({ length: MOST }, () => {
    const order = [...entries];
    for (let i = order.length - 1; i > 0; i--) {
      const k = next(i + 1);
      [order[i], order[k]] = [order[k] ?? '', order[i] ?? ''];
    }
    return order;
  });
}
