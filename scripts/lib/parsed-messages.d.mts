import type { Plugin } from 'vite';

/** Sends the catalogues of the words out parsed. */
export const parsedMessages: () => Plugin;
