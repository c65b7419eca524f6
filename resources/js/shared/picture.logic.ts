/** Pieces of pictures that leave the application: plain SVG with its own background and type. */

const entities: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };

export function escapeText(value: string): string {
  return value.replace(/[&<>"]/g, (sign) => entities[sign] ?? sign);
}

export function text(x: number, y: number, value: string, anchor: 'start' | 'middle' | 'end' = 'start'): string {
  return `<text x="${x.toFixed(1)}" y="${y.toFixed(1)}" text-anchor="${anchor}">${escapeText(value)}</text>`;
}

export function svg(width: number, height: number, content: string): string {
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}" ` +
    `font-family="Atkinson Hyperlegible Next, sans-serif" font-size="12" fill="#12302d"><rect x="0" y="0" width="${width}" ` +
    `height="${height}" fill="#f8f5ed"/>${content}</svg>`
  );
}
