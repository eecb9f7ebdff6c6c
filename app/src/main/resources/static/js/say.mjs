// Words of the scripts: they come from the bundles like all others.
import words from './words.mjs';

/** A message with its arguments by name. */
export const say = (key, named = {}) => words[key].replace(/\{(\w+)\}/g, (_, name) => named[name]);
