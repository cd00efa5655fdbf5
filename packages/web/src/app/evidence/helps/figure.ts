/** A row of dots, a line, or bars; `x` and `y` as they stand on the axes. */
export interface ChartSeries {
  readonly name: string;
  readonly x: readonly (string | number)[];
  readonly y: readonly (string | number)[];
  /** How far each value may be off, below and above; along the axis of values. */
  readonly less?: readonly number[];
  readonly more?: readonly number[];
  /** Drawn hollow: so few that it says little. */
  readonly few?: readonly boolean[];
  readonly text?: readonly string[];
}

export interface Chart {
  readonly title: string;
  /** What it shows, in a sentence. */
  readonly says: string;
  readonly is: 'lines' | 'dots' | 'bars' | 'stacked';
  /** Values run along x, and names down y. */
  readonly across?: boolean;
  readonly xTitle: string;
  readonly yTitle: string;
  /** Values are shares, and shown in per cent. */
  readonly percent?: boolean;
  /** x are days (ISO). */
  readonly days?: boolean;
  /** Names in their order, where an axis has names. */
  readonly order?: readonly string[];
  /** Lines at values that are aimed at, with their names. */
  readonly targets?: readonly {
    readonly at: number | string;
    readonly axis: 'x' | 'y';
    readonly name: string;
    /** Named below its line: another one runs close above. */
    readonly below?: boolean;
  }[];
  readonly series: readonly ChartSeries[];
  readonly table: { readonly head: readonly string[]; readonly rows: readonly (readonly string[])[] };
}

/** Told apart without colour: by the form of the dot, the dashes of the line, the pattern of the bar. */
const SYMBOLS = ['circle', 'square', 'diamond', 'triangle-up', 'cross', 'triangle-down', 'star-square', 'hexagon'];
const DASHES = ['solid', 'dash', 'dot', 'dashdot', 'longdash', 'longdashdot'];
const PATTERNS = ['', '/', '.', 'x', '-', '+', '\\', '|'];
const COLOURS = ['--moss', '--accent', '--ochre', '--madder', '--ink-2'];

/** What each dot or bar says to a hand that rests on it. */
export const wordsOf = (chart: Chart) => (s: ChartSeries) =>
  s.x.map((x, i) => s.text?.[i] ?? (chart.across ? `${s.y[i]}: ${x}` : `${x}: ${s.y[i]}`));

const colour = (host: HTMLElement, name: string): string => getComputedStyle(host).getPropertyValue(name).trim();

export function tracesOf(chart: Chart, host: HTMLElement): object[] {
  const paper = colour(host, '--surface');
  return chart.series.map((s, i) => {
    const own = colour(host, COLOURS[i % COLOURS.length] ?? '--ink');
    const off =
      s.less && s.more
        ? {
            [chart.across ? 'error_x' : 'error_y']: {
              type: 'data',
              symmetric: false,
              array: s.more,
              arrayminus: s.less,
              color: own,
              thickness: 1.2,
            },
          }
        : {};
    const base = {
      name: s.name,
      x: s.x,
      y: s.y,
      ...off,
    };
    if (chart.is === 'bars' || chart.is === 'stacked')
      return {
        ...base,
        type: 'bar',
        orientation: chart.across ? 'h' : 'v',
        marker: {
          color: own,
          line: { color: own, width: 1 },
          pattern: {
            shape: PATTERNS[i % PATTERNS.length],
            fillmode: 'overlay',
            fgcolor: paper,
            fgopacity: 1,
            size: 7,
            solidity: 0.3,
          },
        },
      };
    return {
      ...base,
      type: 'scatter',
      mode: chart.is === 'lines' ? 'lines+markers' : 'markers',
      line: { color: own, dash: DASHES[i % DASHES.length], width: 2 },
      marker: {
        size: 10,
        symbol: s.x.map((_, k) => `${SYMBOLS[i % SYMBOLS.length]}${s.few?.[k] ? '-open' : ''}`),
        color: own,
        line: { color: own, width: 1.5 },
      },
    };
  });
}

export function layoutOf(
  chart: Chart,
  host: HTMLElement,
  width: number,
  height: number,
): { width: number; height: number } & Record<string, unknown> {
  const [ink, line] = [colour(host, '--ink'), colour(host, '--line')];
  const percent = chart.percent ? { tickformat: '.0%', range: [0, 1.04] } : {};
  const lines = { gridcolor: line, zerolinecolor: line, ticklabelstandoff: 5 };
  const values = { ...percent, ...lines };
  const names = {
    ...lines,
    // Beside a column of names there is room for the longest; else each chart would be laid out several times.
    automargin: !chart.across,
    ...(chart.order ? { type: 'category', categoryorder: 'array', categoryarray: chart.order } : {}),
  };
  const days = chart.days ? daysAxis(chart) : {};
  const isAimed = (chart.targets ?? []).some((t) => t.axis === 'y');
  return {
    width,
    height,
    font: { family: getComputedStyle(host).fontFamily, size: 13, color: ink },
    paper_bgcolor: 'rgba(0,0,0,0)',
    plot_bgcolor: 'rgba(0,0,0,0)',
    margin: {
      l: chart.series.some((s) => s.y.some((y) => typeof y === 'string')) ? roomFor(chart) : 64,
      r: isAimed ? 84 : 16,
      t: chart.series.length > 1 ? 44 : 10,
      b: chart.xTitle ? 52 : 30,
    },
    barmode: chart.is === 'stacked' ? 'stack' : 'group',
    showlegend: chart.series.length > 1,
    legend: { orientation: 'h', x: 0, y: 1.02, yanchor: 'bottom' },
    xaxis: { title: { text: chart.xTitle }, ...(chart.across ? values : { ...names, ...days }) },
    yaxis: { title: { text: chart.yTitle }, ...(chart.across ? names : values) },
    shapes: (chart.targets ?? []).map((t) => ({
      type: 'line',
      line: { color: ink, dash: 'dot', width: 1.5 },
      ...(t.axis === 'y'
        ? { x0: 0, x1: 1, xref: 'paper', y0: t.at, y1: t.at }
        : { y0: 0, y1: 1, yref: 'paper', x0: t.at, x1: t.at }),
    })),
    annotations: (chart.targets ?? []).map((t) => ({
      text: t.axis === 'y' ? t.name.replace(', ', ',<br>') : t.name,
      showarrow: false,
      font: { size: 12, color: ink },
      ...(t.axis === 'y'
        ? {
            // Beside the plot, where no dot can lie under it.
            ...{ x: 1, xref: 'paper', xanchor: 'left', xshift: 4, align: 'left' },
            ...{ y: t.at, yanchor: t.below ? 'top' : 'bottom', yshift: t.below ? -2 : 2 },
          }
        : { y: 1, yref: 'paper', yanchor: 'top', x: t.at, xanchor: 'left' }),
    })),
  };
}

/** Pixels for the longest name beside a chart. */
const roomFor = (chart: Chart): number =>
  Math.min(230, 24 + 7.5 * Math.max(0, ...chart.series.flatMap((s) => s.y.map((y) => `${y}`.length))));

const DAY_MS = 86_400_000;
/** Days from a week before the first to a week after the last, by name. */
function daysAxis(chart: Chart): object {
  const all = [
    ...chart.series.flatMap((s) => s.x),
    ...(chart.targets ?? []).flatMap((t) => (t.axis === 'x' ? [t.at] : [])),
  ];
  const times = all.map((x) => Date.parse(`${x}T12:00:00Z`)).filter((t) => !Number.isNaN(t));
  if (!times.length) return {};
  const at = (ms: number) => new Date(ms).toISOString().slice(0, 10);
  const range = [at(Math.min(...times) - 7 * DAY_MS), at(Math.max(...times) + 7 * DAY_MS)];
  return { type: 'date', tickformat: '%-d %b', nticks: 6, range };
}
