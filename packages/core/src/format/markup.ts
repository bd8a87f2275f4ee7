/** Words as a page or a drawing shows them, whatever stands in them: marks are named, what cannot be seen is a space. */
export const asMarkup = (text: string): string =>
  text
    .replace(/[\p{Cc}]+/gu, ' ')
    .replace(/&/g, '&amp;')
    .replace(/</g, '&lt;')
    .replace(/>/g, '&gt;')
    .replace(/"/g, '&quot;')
    .replace(/'/g, '&#39;');
