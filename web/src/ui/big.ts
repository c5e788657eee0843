/** With a capital, to begin a line. */
export const big = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
