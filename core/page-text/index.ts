export { readPage, type PageFinding, type PageReading } from './read-page'
