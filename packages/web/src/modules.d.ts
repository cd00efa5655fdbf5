declare module 'pdfjs-dist/build/pdf.worker.mjs';
declare module 'mammoth/mammoth.browser.js' {
  import mammoth from 'mammoth';
  export default mammoth;
}
