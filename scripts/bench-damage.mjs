// What the bench of keeping does to what is kept, in the page itself: keeps it, damages it, puts it back.

/** Keeps all that is kept in a database of the bench's own, or puts it back as it was. */
export const snapshot = (page, back) =>
  page.evaluate(async (isBack) => {
    const open = (name) =>
      new Promise((done, fail) => {
        const r = indexedDB.open(name);
        r.onupgradeneeded = () => r.result.createObjectStore('records');
        r.onsuccess = () => done(r.result);
        r.onerror = () => fail(r.error);
      });
    const all = (db) =>
      new Promise((done) => {
        const out = [];
        const r = db.transaction('records').objectStore('records').openCursor();
        r.onsuccess = () => {
          const c = r.result;
          if (!c) return done(out);
          out.push([c.key, c.value]);
          c.continue();
        };
      });
    const fill = (db, rows, clear) =>
      new Promise((done) => {
        const t = db.transaction('records', 'readwrite');
        if (clear) t.objectStore('records').clear();
        for (const [key, value] of rows) t.objectStore('records').put(value, key);
        t.oncomplete = () => done();
      });
    const bench = await open('bench-snapshot');
    const names = (await indexedDB.databases()).map((d) => d.name).filter((n) => n.startsWith('lorvet'));
    if (isBack) {
      const kept = await all(bench);
      for (const name of names) {
        const db = await open(name);
        await fill(
          db,
          kept.filter(([k]) => k.startsWith(`${name}\n`)).map(([k, v]) => [k.slice(name.length + 1), v.v]),
          true,
        );
        db.close();
      }
    } else {
      for (const name of names) {
        const db = await open(name);
        await fill(
          bench,
          (await all(db)).map(([k, v]) => [`${name}\n${k}`, { v }]),
          false,
        );
        db.close();
      }
    }
    bench.close();
  }, back);

export const WAYS = 10;
/** The i-th record of every kind, damaged in one of ten ways; how many that were. */
export const damage = (page, i, way) =>
  page.evaluate(
    async ([at, how]) => {
      const open = (name) =>
        new Promise((done, fail) => {
          const r = indexedDB.open(name);
          r.onsuccess = () => done(r.result);
          r.onerror = () => fail(r.error);
        });
      const bent = (v) => {
        const data = v && typeof v === 'object' && 'data' in v ? v.data : v;
        const held = data && typeof data === 'object' && !(data instanceof Blob) ? data : {};
        const keys = Object.keys(held);
        const key = keys[at % Math.max(1, keys.length)];
        const wrap = (d) => (v && typeof v === 'object' && 'data' in v ? { ...v, data: d } : d);
        const { [key]: _, ...without } = held;
        return [
          () => null,
          () => 'not a record',
          () => 7,
          () => wrap(null),
          () => wrap({}),
          () => wrap(without),
          () => wrap({ ...held, [key]: { a: 1 } }),
          () => wrap({ ...held, id: '__proto__' }),
          () => ({ ...v, format: 99 }),
          () => new Blob(['not a record']),
        ][how]();
      };
      let n = 0;
      for (const { name } of await indexedDB.databases()) {
        if (!name.startsWith('lorvet')) continue;
        const db = await open(name);
        await new Promise((done) => {
          const t = db.transaction('records', 'readwrite');
          const store = t.objectStore('records');
          const seen = new Map();
          const r = store.openCursor();
          r.onsuccess = () => {
            const c = r.result;
            if (!c) return;
            const kind = String(c.key).split('/')[0];
            const nth = seen.get(kind) ?? 0;
            seen.set(kind, nth + 1);
            if (nth === at) {
              store.put(bent(c.value), c.key);
              n++;
            }
            c.continue();
          };
          t.oncomplete = () => done();
        });
        db.close();
      }
      return n;
    },
    [i, way],
  );
