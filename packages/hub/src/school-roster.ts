import { answerOf, SERVED_FILES, type ServedFile } from '@lorvet/core/lists';
import { schoolOn } from '@lorvet/core/demo-school';
import { Router } from 'express';

/** The base path that OneRoster 1.2 asks for, under an address of its own. */
export const ROSTER_PATH = '/school-roster/ims/oneroster/rostering/v1p2';

const DAY_MS = 86_400_000;
/** The made-up school year began then. */
const BEGAN = Date.UTC(2026, 8, 1);
/** One reading in so many is not answered, as with real services. */
const FAILS_EACH = 6;
const MOST_AT_ONCE = 1000;

const today = (): number => Math.max(0, Math.floor((Date.now() - BEGAN) / DAY_MS));
const isServed = (name: string): name is ServedFile => SERVED_FILES.some((f) => f === name);
const count = (given: unknown, otherwise: number): number => {
  const n = Number(given);
  return Number.isInteger(n) && n >= 0 ? n : otherwise;
};

/**
 * A stand-in for a school's roster service (OneRoster 1.2, REST, reading only) with made-up data that change a little
 * each day. Now and then it does not answer. `X-Stand-In-Day` asks for another day, `X-Stand-In-Fails` for a failure
 * ("yes") or for none ("no").
 */
export function schoolRoster(): Router {
  const router = Router();
  let readings = 0;
  router.get('/:name', (req, res) => {
    res.setHeader('X-Stand-In', 'made-up data');
    res.setHeader('Cache-Control', 'no-store');
    const { name } = req.params;
    if (!isServed(name)) {
      res.status(404).json({ imsx_codeMajor: 'failure', imsx_description: `There is no ${name} here.` });
      return;
    }
    const offset = count(req.query['offset'], 0);
    // A reading begins with the organisations.
    if (name === SERVED_FILES[0] && offset === 0) readings++;
    const asked = req.get('X-Stand-In-Fails');
    if (asked === 'yes' || (asked !== 'no' && name === SERVED_FILES[0] && readings % FAILS_EACH === 0)) {
      res.status(503).json({ imsx_codeMajor: 'failure', imsx_description: 'The service is not there now.' });
      return;
    }
    const all = answerOf(name, schoolOn(count(req.get('X-Stand-In-Day'), today())));
    const limit = Math.min(count(req.query['limit'], 100), MOST_AT_ONCE);
    res.setHeader('X-Total-Count', `${all.length}`);
    res.json({ [name]: all.slice(offset, offset + limit) });
  });
  return router;
}
