import { say, type Text } from '../said'

export const PLUG = 'Spark plug'
/** As every job keeps it. */
export const COVER = 'Rocker cover'
/** What a part that comes off is called. */
export const itemWords = (item: string): Text =>
  item === COVER ? say('part.cover') : item === PLUG ? say('part.plug') : item

/** What comes off, in order: the model's own list, then plug and cover, which always do. */
export const stripList = (listed: string[]): string[] => [
  ...listed.filter(item => item !== PLUG && item !== COVER),
  PLUG,
  COVER,
]
