export type { PageFinding } from './finding'
export { readPage, type PageReading } from './read-page'
export { readSeenPage, type Box, type SeenFinding, type SeenWord } from './seen-page'
