/** Raised whenever the same frame would be measured to another figure; old entries can then be read anew. */
export const METHOD_VERSION = 3;
