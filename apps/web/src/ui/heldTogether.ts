/** Large words in which a figure and its unit never stand on two lines. */
export const heldTogether = (text: string): string =>
  text.replace(/(\d) (?=(?:mm²?|m²|in²?|mL(?:\/L)?|L|fl oz|%|°[CF]?|N|min|h|s)(?![\p{L}]))/gu, '$1\u00a0')
