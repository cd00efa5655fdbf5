import { beforeEach, describe, expect, it, jest } from '@jest/globals';
import { type Intake, IntakeProblem } from '../platform/intake';
import { Stopped } from '../platform/workers/task';
import { PdfPages } from './pdf-pages';

const file = new File(['x'], 'sheet.pdf');
let revoked: string[];
let made: number;
beforeEach(() => {
  [revoked, made] = [[], 0];
  URL.createObjectURL = () => `blob:${++made}`;
  URL.revokeObjectURL = (url) => void revoked.push(url);
});

/** Stands for the worker that reads: a file of so many pages, which opens with a password or without. */
function reader(pages: number, password?: string) {
  return {
    openPdf: jest.fn(async (_: File, given?: string) => {
      await Promise.resolve();
      if (given !== password) throw new IntakeProblem('This PDF is locked.', ['locked']);
      return { pages };
    }),
    thumb: jest.fn((n: number, _pixels?: number) =>
      n > 20 ? Promise.reject(new Stopped('')) : Promise.resolve(new Blob([`${n}`])),
    ),
    pagePicture: jest.fn((n: number) => Promise.resolve({ id: `page ${n}` })),
  };
}
const pagesOf = (r: ReturnType<typeof reader>) => new PdfPages(r as unknown as Intake);
const rest = () => new Promise((done) => setTimeout(done));

describe('the pages of a PDF', () => {
  it('of a short one are all chosen, of a long one none; each has a small picture', async () => {
    const short = pagesOf(reader(3));
    await short.open(file);
    await rest();
    expect([...short.chosen()]).toEqual([1, 2, 3]);
    expect([...short.thumbs().keys()]).toEqual([1, 2, 3]);
    const long = pagesOf(reader(40));
    await long.open(file);
    await rest();
    expect(long.chosen().size).toBe(0);
    // Stopped after the twentieth: those that are there stay.
    expect(long.thumbs().size).toBe(20);
  });

  it('of a locked one come with the right password only', async () => {
    const pdf = pagesOf(reader(2, 'tide'));
    await expect(pdf.open(file)).rejects.toThrow('locked');
    expect(pdf.locked()).toBe(true);
    await expect(pdf.unlock('sea')).rejects.toThrow('locked');
    expect([pdf.locked(), pdf.count()]).toEqual([true, 0]);
    await pdf.unlock('tide');
    expect([pdf.locked(), pdf.count()]).toEqual([false, 2]);
  });

  it('can be drawn again after a stop, with the password that opened it', async () => {
    const intake = reader(2, 'tide');
    const pdf = pagesOf(intake);
    await pdf.open(file, 'tide');
    await pdf.picture(1);
    expect(intake.openPdf).toHaveBeenCalledTimes(1);
    pdf.closed();
    await expect(pdf.picture(2)).resolves.toEqual({ id: 'page 2' });
    expect(intake.openPdf).toHaveBeenLastCalledWith(file, 'tide');
  });

  it('one is shown large at a time, and no address of a picture is kept for nothing', async () => {
    const pdf = pagesOf(reader(2));
    await pdf.open(file);
    await rest();
    await pdf.enlarge(1);
    const first = pdf.large()?.url ?? '';
    await pdf.enlarge(1);
    expect(pdf.large()?.url).toBe(first);
    await pdf.enlarge(2);
    expect(revoked).toEqual([first]);
    pdf.reset();
    expect(revoked).toHaveLength(made);
    expect([pdf.large(), pdf.thumbs().size, pdf.here()]).toEqual([null, 0, false]);
  });

  it('are none where something else is brought in', async () => {
    const intake = reader(2);
    const pdf = pagesOf(intake);
    await pdf.enlarge(1);
    await pdf.unlock('x');
    expect(intake.openPdf).not.toHaveBeenCalled();
    expect(pdf.large()).toBeNull();
  });
});
