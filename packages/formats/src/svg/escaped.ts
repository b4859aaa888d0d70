const signs: Readonly<Record<string, string>> = { '<': '&lt;', '>': '&gt;', '&': '&amp;', '"': '&quot;', "'": '&apos;' }

/** A text as it stands in an SVG. */
export const escaped = (text: string) => text.replace(/[<>&"']/g, (sign) => signs[sign] ?? '')
