import { svg } from './pictures';

const stall = (x: number, cloth: string) =>
  `<g transform="translate(${x} 60)"><path d="M0 20h130l-12 26H12z" fill="${cloth}"/><path d="M0 20h22l-6 26H12zM44 20h22l-2 26H46zM88 20h22l4 26H86z" fill="#FFFDF8"/><rect x="10" y="46" width="5" height="84" fill="#574D43"/><rect x="115" y="46" width="5" height="84" fill="#574D43"/><rect x="6" y="92" width="118" height="14" fill="#B9A98C" stroke="#6A3B2B"/></g>`;
const fish = (x: number, y: number) =>
  `<g transform="translate(${x} ${y})" fill="#3F4B5C"><ellipse rx="17" ry="8"/><path d="M14 0l12-8v16z"/><circle cx="-9" cy="-2" r="1.800" fill="#FFFDF8"/></g>`;
const apple = (x: number, y: number) =>
  `<g transform="translate(${x} ${y})"><circle r="9" fill="#A23F25"/><path d="M0-8q2-7 6-8" stroke="#44602F" stroke-width="2" fill="none"/></g>`;

/** Three stalls on the quay: apples, fish, rope. */
export const MARKET = svg(
  640,
  260,
  `<rect width="640" height="260" fill="#DCE7E4"/><path d="M0 190h640v70H0z" fill="#938468"/><path d="M0 172q80-14 160 0t160 0 160 0 160 0v20H0z" fill="#5B9A99"/>
  ${stall(40, '#A23F25')}${stall(250, '#25595C')}${stall(460, '#7F5300')}
  ${[70, 95, 120, 145].map((x) => apple(x, 142)).join('')}${[282, 322, 362].map((x) => fish(x, 144)).join('')}
  <g fill="none" stroke="#7F5300" stroke-width="7"><circle cx="500" cy="140" r="13"/><circle cx="545" cy="140" r="13"/></g>
  <g transform="translate(210 150)"><circle cy="-28" r="12" fill="#E9D9C8"/><path d="M-14 50V-6q14-16 28 0v56z" fill="#5A3F7C"/></g>
  <g transform="translate(424 156)"><circle cy="-26" r="11" fill="#6A3B2B"/><path d="M-13 46V-6q13-14 26 0v52z" fill="#44602F"/></g>`,
);

/** One stall, and coins, as small as a word. */
export const STALL = svg(140, 140, `<g transform="translate(5 -52)">${stall(0, '#A23F25')}</g>`);
export const COINS = svg(
  140,
  140,
  `<g fill="#E3C37A" stroke="#7F5300" stroke-width="6"><circle cx="50" cy="60" r="34"/><circle cx="90" cy="86" r="34"/></g>`,
);

/** A sheet as it came from the copier: a shopping list with lines to write on, to be laid over. */
export const TILL_SHEET = svg(
  600,
  848,
  `<rect width="600" height="848" fill="#FFFDF8"/><g font-family="sans-serif" fill="#241F1A"><text x="44" y="70" font-size="30" font-weight="700">At the till</text>
  <text x="44" y="106" font-size="18">Look at the prices. Write what each basket costs.</text>
  <g font-size="20"><rect x="44" y="136" width="512" height="150" fill="#F1EADD" stroke="#938468"/><text x="70" y="176">apple</text><text x="200" y="176">30 p</text><text x="70" y="216">fish</text><text x="200" y="216">2.50</text><text x="70" y="256">rope, 1 m</text><text x="200" y="256">80 p</text>
  ${[
    ['1', 'two apples', 340],
    ['2', 'one fish and one apple', 430],
    ['3', 'three metres of rope', 520],
  ]
    .map(
      ([n, t, y]) =>
        `<text x="44" y="${y}" font-weight="700">${n}</text><text x="76" y="${y}">${t}</text><path d="M380 ${Number(y) + 6}h150" stroke="#241F1A" stroke-width="1.500"/>`,
    )
    .join('')}
  <text x="44" y="610" font-weight="700">4</text><text x="76" y="610">Which basket costs most?</text><text x="96" y="650">A  basket 1</text><text x="96" y="686">B  basket 2</text><text x="96" y="722">C  basket 3</text></g></g>`,
);
