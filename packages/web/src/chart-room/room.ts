import { expose } from 'comlink';
import plotly from 'plotly.js-basic-dist-min';

/** What the room does for the page; everything that comes in and goes out is plain data. */
export interface ChartRoomDoor {
  /** A figure of Plotly (traces, layout with width and height in pixels) as SVG; `points` hold what each dot or bar says. */
  draw(
    traces: readonly object[],
    layout: { width: number; height: number },
    points: readonly (readonly string[])[],
  ): Promise<string>;
}

/** Each dot and bar says its values: traces and points stand in the order of the data. */
function named(svg: string, points: readonly (readonly string[])[]): string {
  const tree = new DOMParser().parseFromString(svg, 'image/svg+xml');
  tree.querySelectorAll('.trace').forEach((trace, i) => {
    const drawn = [...trace.querySelectorAll('.point')];
    const words = points[i] ?? [];
    // Points that are not drawn would shift the words.
    if (drawn.length !== words.length) return;
    drawn.forEach((point, k) => {
      const title = tree.createElementNS('http://www.w3.org/2000/svg', 'title');
      title.textContent = words[k] ?? '';
      point.prepend(title);
    });
  });
  return new XMLSerializer().serializeToString(tree);
}

const letters = document.fonts.load('13px "Atkinson Hyperlegible Next Variable"').catch(() => []);
let last: Promise<unknown> = Promise.resolve();

const door: ChartRoomDoor = {
  draw(traces, { width, height, ...layout }, points) {
    const mine = last.then(async () => {
      await letters;
      const figure = { data: traces, layout: { ...layout, width, height }, config: { staticPlot: true } };
      const svg = await plotly.toImage(figure, { format: 'svg', width, height, imageDataOnly: true });
      return named(svg, points);
    });
    last = mine.catch(() => undefined);
    return mine;
  },
};

// The page hands in its end of a channel; nobody else can speak to this room.
addEventListener('message', (e) => e.ports[0] && expose(door, e.ports[0]), { once: true });
