/**
 * Raised whenever a criterion judges differently: scores that were kept under another number are computed anew.
 */
export const CORE_VERSION = 12;
