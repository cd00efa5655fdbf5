import { strFromU8, unzipSync } from 'fflate';
import { Problem } from './problem';

export type ZipFiles = Readonly<Record<string, Uint8Array>>;

/** Opens a ZIP that Lorvet wrote. `what` is what the teacher takes it for: "backup"; `by` is the button that writes one. */
export function openZip(bytes: Uint8Array, what: string, by: string): ZipFiles {
  let files: ZipFiles;
  try {
    files = unzipSync(bytes);
  } catch {
    throw new Problem(
      `This file cannot be opened as a ${what}: it is damaged, or it is not a ZIP file. Choose the file that “${by}” wrote.`,
    );
  }
  if (!files['manifest.json'])
    throw new Problem(`This ZIP file is not a Lorvet ${what}: it has no manifest. Choose the file that “${by}” wrote.`);
  return files;
}

/** The JSON in one of its files. */
export function jsonIn(files: ZipFiles, name: string, what: string): unknown {
  const bytes = files[name];
  if (!bytes) throw new Problem(`The ${what} lacks “${name}”. It is not whole; try another copy of it.`);
  try {
    return JSON.parse(strFromU8(bytes));
  } catch {
    throw new Problem(`“${name}” in the ${what} cannot be read. The file is damaged; try another copy of it.`);
  }
}

/** What is said of a file whose format number is too high. */
export const tooNew = (what: string, format: number, known: number): Problem =>
  new Problem(
    `This ${what} was written by a newer Lorvet (format ${format}; this one reads up to ${known}). Update Lorvet, then try again.`,
  );
