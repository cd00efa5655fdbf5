import { Injectable } from '@angular/core';
import { type Remote, wrap } from 'comlink';
import DOMPurify from 'dompurify';
import { z } from '@lorvet/core/desk';
import type { ChartRoomDoor } from '../../chart-room/room';

/** Plotly takes a third of a second to begin with and a tenth for each chart; a machine may be slow. */
const WAIT_MS = 20_000;
const Svg = z.string().max(4_000_000).startsWith('<svg');

/**
 * Charts are drawn in a frame of its own origin, which browsers keep apart from the page: Plotly needs a document to
 * measure letters in, so no worker can do it, and here it holds nobody up. The frame sees the chart and nothing else.
 */
@Injectable({ providedIn: 'root' })
export class ChartRoom {
  private room: Promise<{ door: Remote<ChartRoomDoor>; leave: () => void }> | null = null;

  /** The chart as SVG that may be put into the page. Throws where the room does not answer. */
  async draw(...figure: Parameters<ChartRoomDoor['draw']>): Promise<DocumentFragment> {
    const room = (this.room ??= opened());
    try {
      const { door } = await room;
      const svg = Svg.parse(await inTime(door.draw(...figure)));
      return DOMPurify.sanitize(svg, { USE_PROFILES: { svg: true }, RETURN_DOM_FRAGMENT: true });
    } catch (e) {
      // The next chart tries in a new room.
      if (this.room === room) this.room = null;
      void room.then(
        ({ leave }) => leave(),
        () => undefined,
      );
      throw e;
    }
  }
}

async function opened(): Promise<{ door: Remote<ChartRoomDoor>; leave: () => void }> {
  const frame = document.createElement('iframe');
  frame.title = 'Charts are drawn here';
  frame.tabIndex = -1;
  frame.setAttribute('aria-hidden', 'true');
  frame.setAttribute('sandbox', 'allow-scripts');
  // Beside what is seen, but laid out: letters are measured in it.
  frame.style.cssText = 'position:fixed;left:-2000px;top:0;width:1200px;height:900px;border:0;visibility:hidden';
  const loaded = new Promise((done) => frame.addEventListener('load', done, { once: true }));
  frame.src = '/charts/room.html';
  document.body.append(frame);
  const { port1, port2 } = new MessageChannel();
  const leave = () => {
    port1.close();
    frame.remove();
  };
  try {
    await inTime(loaded);
  } catch (e) {
    leave();
    throw e;
  }
  frame.contentWindow?.postMessage(null, '*', [port2]);
  return { door: wrap<ChartRoomDoor>(port1), leave };
}

function inTime<T>(work: Promise<T>): Promise<T> {
  let timer = 0;
  const late = new Promise<never>((_, failed) => {
    timer = window.setTimeout(() => failed(new Error('The charts’ frame does not answer')), WAIT_MS);
  });
  return Promise.race([work, late]).finally(() => clearTimeout(timer));
}
