/** The demo's own drawings. Colours are of Lorvet's palette. */
export const svg = (w: number, h: number, body: string) =>
  `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${w} ${h}" width="${w}" height="${h}">${body}</svg>`;

export const ROCK_POOL = svg(
  640,
  240,
  `<rect width="640" height="240" fill="#DCE7E4"/>
  <path d="M0 70 Q80 40 170 66 T360 58 T520 72 T640 50 V240 H0Z" fill="#B9A98C"/>
  <path d="M0 108 Q90 80 180 104 T380 96 T540 112 T640 92 V240 H0Z" fill="#938468"/>
  <ellipse cx="318" cy="176" rx="236" ry="54" fill="#2F6E71"/>
  <ellipse cx="318" cy="172" rx="222" ry="46" fill="#5B9A99"/>
  <g fill="none" stroke="#CFE3E0" stroke-width="3" stroke-linecap="round"><path d="M170 168q26 -10 52 0M392 152q30 -10 60 0M330 196q22 -8 44 0"/></g>
  <g fill="#44602F"><path d="M120 190q-8 -44 10 -70q4 30 14 36q2 -28 16 -40q2 40 -6 74z"/><path d="M504 190q4 -50 -10 -66q-2 26 -12 34q0 -22 -12 -32q-6 36 6 66z"/></g>
  <g><path d="M214 110l20 -26 20 26z" fill="#F1EADD" stroke="#6A3B2B" stroke-width="3"/><path d="M234 86v22M226 96l-4 12M242 96l4 12" stroke="#6A3B2B" stroke-width="2"/>
  <path d="M262 112l15 -20 15 20z" fill="#F1EADD" stroke="#6A3B2B" stroke-width="3"/><path d="M180 112l13 -18 13 18z" fill="#F1EADD" stroke="#6A3B2B" stroke-width="3"/></g>
  <g transform="translate(300 176)"><g stroke="#7A2D19" stroke-width="5" stroke-linecap="round" fill="none"><path d="M-28 -2q-20 -12 -26 4M28 -2q20 -12 26 4M-24 8l-20 12M24 8l20 12M-16 13l-12 14M16 13l12 14"/></g><ellipse rx="30" ry="18" fill="#A23F25"/><circle cx="-9" cy="-16" r="4" fill="#241F1A"/><circle cx="9" cy="-16" r="4" fill="#241F1A"/></g>
  <g transform="translate(414 180)" fill="#94264B"><path d="M-24 14q-6 -26 24 -26t24 26z"/><g stroke="#94264B" stroke-width="5" stroke-linecap="round"><path d="M-16 -8l-6 -18M-6 -11l-2 -20M6 -11l2 -20M16 -8l6 -18"/></g></g>
  <g fill="#3F4B5C"><path d="M452 98q14 -22 30 -2q-6 16 -30 2zM486 104q12 -20 28 -2q-6 14 -28 2z"/></g>`,
);

export const BUS_STOP = svg(
  640,
  220,
  `<rect width="640" height="220" fill="#F1EADD"/><rect y="172" width="640" height="48" fill="#6F6458"/><path d="M0 196h640" stroke="#F7E8C8" stroke-width="4" stroke-dasharray="34 26"/>
  <g transform="translate(250 66)"><rect width="290" height="106" rx="14" fill="#A23F25"/><rect x="18" y="18" width="46" height="38" rx="5" fill="#DCE7E4"/><rect x="74" y="18" width="46" height="38" rx="5" fill="#DCE7E4"/><rect x="130" y="18" width="46" height="38" rx="5" fill="#DCE7E4"/><rect x="190" y="18" width="40" height="76" rx="5" fill="#E9D9C8"/><rect x="240" y="18" width="40" height="38" rx="5" fill="#DCE7E4"/><text x="60" y="88" font-family="sans-serif" font-weight="700" font-size="26" fill="#FFFDF8">14 Harbour</text><circle cx="62" cy="110" r="19" fill="#241F1A"/><circle cx="62" cy="110" r="8" fill="#DDD2BF"/><circle cx="232" cy="110" r="19" fill="#241F1A"/><circle cx="232" cy="110" r="8" fill="#DDD2BF"/></g>
  <g transform="translate(96 40)"><rect x="30" y="40" width="8" height="96" fill="#574D43"/><circle cx="34" cy="30" r="34" fill="#FFFDF8" stroke="#44602F" stroke-width="7"/><path d="M34 30V10M34 30l13 9" stroke="#241F1A" stroke-width="5" stroke-linecap="round"/><g fill="#241F1A"><circle cx="34" cy="4" r="2.5"/><circle cx="60" cy="30" r="2.5"/><circle cx="34" cy="56" r="2.5"/><circle cx="8" cy="30" r="2.5"/></g></g>`,
);

export const PUNCTURE = svg(
  640,
  220,
  `<rect width="640" height="220" fill="#FAF6EE"/>
  <g fill="none"><circle cx="170" cy="112" r="88" stroke="#241F1A" stroke-width="14"/><circle cx="170" cy="112" r="76" stroke="#938468" stroke-width="5"/><g stroke="#938468" stroke-width="2"><path d="M170 36v152M94 112h152M116 58l108 108M224 58L116 166"/></g></g><circle cx="170" cy="112" r="11" fill="#574D43"/>
  <path d="M238 168l26 18" stroke="#A23F25" stroke-width="5"/><text x="268" y="196" font-family="sans-serif" font-size="17" fill="#241F1A">nail</text>
  <g transform="translate(330 40)"><rect width="110" height="66" rx="8" fill="#E4EBD9" stroke="#44602F" stroke-width="3"/><circle cx="32" cy="34" r="17" fill="#3F4B5C"/><rect x="60" y="18" width="38" height="32" rx="8" fill="#3F4B5C"/><text x="4" y="92" font-family="sans-serif" font-size="17" fill="#241F1A">patches</text></g>
  <g transform="translate(474 40)"><path d="M0 54L64 2l12 10L16 66q-14 2 -16 -12z" fill="#A23F25"/><text x="2" y="92" font-family="sans-serif" font-size="17" fill="#241F1A">tyre lever</text></g>
  <g transform="translate(350 160)"><rect width="150" height="18" rx="9" fill="#574D43"/><rect x="146" y="4" width="60" height="10" rx="5" fill="#938468"/><text x="214" y="17" font-family="sans-serif" font-size="17" fill="#241F1A">pump</text></g>`,
);

export const TYRE_LEVER = svg(
  640,
  220,
  `<rect width="640" height="220" fill="#FAF6EE"/>
  <path d="M40 250A300 300 0 0 1 600 250" fill="none" stroke="#241F1A" stroke-width="46"/><path d="M84 262A258 258 0 0 1 556 262" fill="none" stroke="#938468" stroke-width="20"/>
  <path d="M300 108L402 6l16 14L318 122q-20 6 -18 -14z" fill="#A23F25"/>
  <g font-family="sans-serif" font-size="19" fill="#241F1A"><text x="430" y="30">tyre lever</text><text x="60" y="70">tyre</text><text x="290" y="206">rim</text></g>`,
);
