import { strFromU8, unzipSync } from 'fflate';
import { Problem } from './problem';

export type ZipFiles = Readonly<Record<string, Uint8Array>>;

/** How far a ZIP may unpack. What goes beyond is refused by what its directory says, before any of it is unpacked. */
export interface ZipLimits {
  /** Most bytes unpacked, in MB. */
  readonly mb: number;
  readonly files: number;
}
export const PACK_LIMITS: ZipLimits = { mb: 300, files: 5000 };
export const BACKUP_LIMITS: ZipLimits = { mb: 2000, files: 100_000 };

/** Text packs some thirty times; beyond this, a file is made to fill a machine. */
const MOST_RATIO = 150;
/** Up to here a file is small whatever its ratio. */
const RATIO_FROM_MB = 20;
const MB = 1_000_000;

const sizeOf = (mb: number) => (mb >= 1000 ? `${mb / 1000} GB` : `${mb} MB`);

/**
 * The files of a ZIP that `wanted` names, unpacked; folders never are. Throws a Problem where it is no ZIP, is damaged,
 * or unpacks to more than `limits` allow: `what` is what a teacher takes it for.
 */
export function unzip(
  bytes: Uint8Array,
  what: string,
  limits: ZipLimits,
  wanted: (name: string) => boolean = () => true,
): ZipFiles {
  let unpacked = 0;
  let count = 0;
  try {
    return unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        unpacked += originalSize;
        if (++count > limits.files)
          throw new Problem(`This ${what} holds more than ${limits.files} files. Nothing was taken in.`);
        if (unpacked > limits.mb * MB)
          throw new Problem(`This ${what} unpacks to more than ${sizeOf(limits.mb)}. Nothing was taken in.`);
        if (unpacked > RATIO_FROM_MB * MB && unpacked > bytes.length * MOST_RATIO)
          throw new Problem(
            `This ${what} unpacks to more than ${MOST_RATIO} times its size: it was made to fill the machine. Nothing was taken in.`,
          );
        return !name.endsWith('/') && wanted(name);
      },
    });
  } catch (error) {
    if (error instanceof Problem) throw error;
    throw new Problem(`This file cannot be opened as a ${what}: it is damaged, or it is not a ZIP file.`);
  }
}

/** The names of the files in a ZIP, within the same limits. */
export function namesIn(bytes: Uint8Array, what: string, limits: ZipLimits): string[] {
  const names: string[] = [];
  unzip(bytes, what, limits, (name) => {
    names.push(name);
    return false;
  });
  return names;
}

/** Opens a ZIP that Lorvet wrote. `what` is what the teacher takes it for: "family file"; `by` is the button that writes one. */
export function openZip(
  bytes: Uint8Array,
  what: string,
  by: string,
  limits = PACK_LIMITS,
  wanted?: (name: string) => boolean,
): ZipFiles {
  let files: ZipFiles;
  try {
    files = unzip(bytes, what, limits, wanted);
  } catch (error) {
    if (error instanceof Problem && error.message.includes('not a ZIP'))
      throw new Problem(`${error.message} Choose the file that “${by}” wrote.`);
    throw error;
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
