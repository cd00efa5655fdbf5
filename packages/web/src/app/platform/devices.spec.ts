import { TestBed } from '@angular/core/testing';
import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { Devices } from './devices';
import { readMedia, readPicture } from './files';

const ask = (error: DOMException | null) => {
  Object.defineProperty(navigator, 'mediaDevices', {
    configurable: true,
    value: error && { getUserMedia: () => Promise.reject(error) },
  });
};

describe('camera and microphone', () => {
  beforeEach(() => localStorage.clear());
  afterEach(() => ask(null));

  it.each([
    ['NotAllowedError', /sign at the left of the address/],
    ['NotFoundError', /no camera on this machine/],
    ['NotReadableError', /Another program is using the camera/],
    ['AbortError', /cannot use a camera here/],
  ])('%s is said with what to press, and a file is offered each time', async (name, says) => {
    ask(new DOMException('', name));
    const told = await TestBed.inject(Devices).open('camera');
    if (!('why' in told)) throw new Error('it was not refused');
    expect(told.why).toMatch(says);
    expect(told.why).toMatch(/[Tt]ake a file instead/);
  });

  it('a browser without devices is told of in the same way', async () => {
    ask(null);
    expect(await TestBed.inject(Devices).open('microphone')).toMatchObject({
      why: expect.stringMatching(/microphone/),
    });
  });

  it('stand-ins are used only where they were chosen, and that is remembered', () => {
    const devices = TestBed.inject(Devices);
    expect(devices.standIn()).toBe(false);
    devices.useStandIns(true);
    expect(new Devices().standIn()).toBe(true);
    devices.useStandIns(false);
    expect(new Devices().standIn()).toBe(false);
  });
});

describe('files', () => {
  const file = (name: string, type: string, size = 3) =>
    Object.assign(new Blob([new Uint8Array(size)], { type }), { name });
  const problem = (t: Awaited<ReturnType<typeof readPicture>>) => ('problem' in t ? t.problem : '');

  it('of the wrong kind or too large are named, with what to choose', async () => {
    expect(problem(await readPicture(file('a.txt', 'text/plain')))).toMatch(/“a.txt” is not a picture.*PNG/);
    expect(problem(await readPicture(file('big.svg', 'image/svg+xml', 5 * 1024 * 1024)))).toMatch(/larger than 4 MB/);
    expect(problem(await readMedia(file('a.png', 'image/png'), 'sound'))).toMatch(/not a sound.*MP3/);
    expect(problem(await readMedia(file('a.pdf', 'text/html'), 'pdf'))).toMatch(/not a PDF/);
    expect(problem(await readMedia(file('v.mp4', 'video/mp4', 25 * 1024 * 1024), 'video'))).toMatch(
      /larger than 24 MB/,
    );
  });

  it('that are called a PDF and hold something else are refused', async () => {
    const holding = (text: string) => Object.assign(new Blob([text], { type: 'application/pdf' }), { name: 'a.pdf' });
    expect(problem(await readMedia(holding('<html><script>alert(1)</script>'), 'pdf'))).toMatch(
      /called a PDF and is none/,
    );
  });
});
