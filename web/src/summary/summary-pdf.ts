import type { PdfNode } from './paper.ts'

/** The letters have no narrow spaces: numbers are grouped by common ones that keep together. */
export function withPlainSpaces(node: unknown): unknown {
  if (typeof node === 'string') return node.replaceAll(/[\u202f\u2009]/g, '\u00a0')
  if (Array.isArray(node)) return node.map(withPlainSpaces)
  // What stands at a page's foot is asked for page by page.
  if (typeof node === 'function')
    return (...given: unknown[]) =>
      withPlainSpaces((node as (...all: unknown[]) => unknown)(...given))
  if (node === null || typeof node !== 'object') return node
  return Object.fromEntries(Object.entries(node).map(([key, of]) => [key, withPlainSpaces(of)]))
}

interface PdfMake {
  addVirtualFileSystem(files: object): void
  createPdf(page: PdfNode): { getBlob(): Promise<Blob> }
}

/** A page as a PDF. Its maker and its letters are fetched when the first one is wanted. */
export async function pdfOf(page: PdfNode): Promise<Blob> {
  const [{ default: maker }, { default: letters }] = await Promise.all([
    import('pdfmake/build/pdfmake.js'),
    import('pdfmake/build/vfs_fonts.js'),
  ])
  const pdfMake = maker as PdfMake
  pdfMake.addVirtualFileSystem(letters)
  return pdfMake.createPdf(withPlainSpaces(page) as PdfNode).getBlob()
}
