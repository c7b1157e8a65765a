import { fetchWords } from './words'

// a component that is tested alone has no page to fetch them
await fetchWords(['pages', 'panels', 'spec-book', 'practice'])
