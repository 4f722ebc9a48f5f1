/** Data that cannot be opened, in a sentence for the person at the terminal. */
export class DataRefused extends Error {}
