import { setupZonelessTestEnv } from 'jest-preset-angular/setup-env/zoneless/index.mjs';

setupZonelessTestEnv();

// What jsdom lacks of blobs and their addresses.
Blob.prototype.arrayBuffer ??= function (this: Blob): Promise<ArrayBuffer> {
  return new Promise((done, fail) => {
    const reader = new FileReader();
    reader.onload = () => done(reader.result as ArrayBuffer);
    reader.onerror = () => fail(new Error('not read'));
    reader.readAsArrayBuffer(this);
  });
};
URL.createObjectURL ??= () => 'blob:in-a-test';
URL.revokeObjectURL ??= () => undefined;

// jsdom lays nothing out: nobody is told of sizes.
globalThis.ResizeObserver ??= class {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
} as never;

// What jsdom lacks and PrimeNG asks for: no media query holds.
globalThis.matchMedia ??= (media: string) =>
  ({
    media,
    matches: false,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  }) as unknown as MediaQueryList;
if (typeof Element !== 'undefined') Element.prototype.scrollIntoView ??= () => undefined;
