/** The version of Levee, as its packages carry it. */
export const VERSION = '0.1.0';
