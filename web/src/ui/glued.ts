const UNIT = /(\d) (mm|cm|m|in|g|kg|oz|lb|mL|L|°C|°F|min|h|s|d|%|kPa)(?![\p{L}\d])/gu;

/** The same with each number held to its unit, so that no line breaks between them. */
export const glued = (text: string) => text.replace(UNIT, '$1\u00a0$2');
