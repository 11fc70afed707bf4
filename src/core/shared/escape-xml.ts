/** Text as it may stand in XML and SVG. */
export const escapeXml = (words: string): string =>
  words.replace(/[&<>"]/g, (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign]!);
