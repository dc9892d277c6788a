/** An address as a QR picture, dark on light in any light: that is what is read. */
export async function qrPicture(address: string): Promise<string> {
  const { toString } = await import('qrcode');
  const svg = await toString(address, { type: 'svg', margin: 2, errorCorrectionLevel: 'M' });
  return `data:image/svg+xml,${encodeURIComponent(svg)}`;
}
