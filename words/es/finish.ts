/** “a el” and “de el” are one word each. */
export const finish = (words: string): string => words.replace(/\b([Aa]|[Dd]e) el\b/g, '$1l')
