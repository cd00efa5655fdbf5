declare module 'pdfjs-dist/build/pdf.worker.mjs';
declare module 'mammoth/mammoth.browser.js' {
  import mammoth from 'mammoth';
  export default mammoth;
}
declare module 'plotly.js-basic-dist-min' {
  /** What of Plotly is used here. */
  interface Plotly {
    newPlot(host: HTMLElement, data: readonly object[], layout: object, config: object): Promise<HTMLElement>;
    purge(host: HTMLElement): void;
    Plots: { resize(host: HTMLElement): void };
  }
  const plotly: Plotly;
  export default plotly;
}
