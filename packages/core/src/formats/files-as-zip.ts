import { zipSync } from 'fflate';

/** Files in one ZIP, as they are: what is packed already does not grow smaller. A name that stands twice is numbered. */
export function filesAsZip(files: readonly { readonly name: string; readonly bytes: Uint8Array }[]): Uint8Array {
  const out: Record<string, Uint8Array> = {};
  for (const { name, bytes } of files) {
    let free = name;
    for (let n = 2; Object.hasOwn(out, free); n++) free = name.replace(/(\.\w+)?$/, ` ${n}$1`);
    out[free] = bytes;
  }
  return zipSync(out, { level: 0 });
}
