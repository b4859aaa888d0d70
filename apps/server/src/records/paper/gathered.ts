/** A PDF in one piece, once its document has ended. */
export const gathered = (pdf: PDFKit.PDFDocument): Promise<Buffer> =>
  new Promise((resolve, reject) => {
    const pieces: Buffer[] = []
    pdf.on('data', (piece: Buffer) => pieces.push(piece))
    pdf.on('end', () => resolve(Buffer.concat(pieces)))
    pdf.on('error', reject)
  })
