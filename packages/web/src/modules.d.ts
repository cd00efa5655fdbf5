declare module 'pdfjs-dist/build/pdf.worker.mjs';
declare module 'mammoth/mammoth.browser.js' {
  import mammoth from 'mammoth';
  export default mammoth;
}
declare module 'plotly.js-basic-dist-min' {
  /** What of Plotly is used here. */
  interface Plotly {
    toImage(
      figure: { data: readonly object[]; layout: object; config: object },
      as: { format: 'svg'; width: number; height: number; imageDataOnly: true },
    ): Promise<string>;
  }
  const plotly: Plotly;
  export default plotly;
}
