import type { PdfPage } from './summary-page.ts'

/** The letters have no narrow spaces: numbers are grouped by common ones that keep together. */
const withPlainSpaces = (page: PdfPage): PdfPage =>
  JSON.parse(JSON.stringify(page).replaceAll(/[\u202f\u2009]/g, '\u00a0')) as PdfPage

interface PdfMake {
  addVirtualFileSystem(files: object): void
  createPdf(page: PdfPage): { getBlob(): Promise<Blob> }
}

/** A page as a PDF. Its maker and its letters are fetched when the first one is wanted. */
export async function pdfOf(page: PdfPage): Promise<Blob> {
  const [{ default: maker }, { default: letters }] = await Promise.all([
    import('pdfmake/build/pdfmake.js'),
    import('pdfmake/build/vfs_fonts.js'),
  ])
  const pdfMake = maker as PdfMake
  pdfMake.addVirtualFileSystem(letters)
  return pdfMake.createPdf(withPlainSpaces(page)).getBlob()
}
