import { random } from '../../tests/support/faults/random'

/** A shop as it is assumed: mechanics, whole valve jobs of each a day, hours it is open, how uneven the day is. */
const MECHANICS = 3
const JOBS_A_DAY = 4
const OPEN_HOURS = 8
/** Answers come at the bench, not all day: the busiest hour has so many times the mean. */
const UNEVEN = 2
/** Between two answers of one hand lies the work itself, s. */
const BETWEEN_S = 12

/** Answers a second of so many shops in their busiest hour. @param answersAJob as counted on a whole job */
export const peakAnswersASecond = (shops: number, answersAJob: number): number =>
  (shops * MECHANICS * JOBS_A_DAY * answersAJob * UNEVEN) / (OPEN_HOURS * 3600)

export interface Simulated {
  answers: number
  /** The share of the time that the servers worked. */
  busy: number
  /** What an answer waits for a server that is free, ms. */
  p50: number
  p99: number
  longest: number
}

/**
 * The busiest hour, hand by hand: hands begin a job at random moments, give its answers one after the other with the
 * work between them, and rest. Each answer goes to the server that is free first. Unlike the arithmetic, answers of one
 * hand come in a row, and hands of all shops begin the day together.
 */
export function simulate({
  shops,
  servers,
  answersAJob,
  service,
  minutes,
  seed,
}: {
  shops: number
  servers: number
  answersAJob: number
  /** How long a server takes for one, ms. */
  service: () => number
  minutes: number
  seed: number
}): Simulated {
  const draw = random(seed)
  const endMs = minutes * 60_000
  const hands = shops * MECHANICS
  // jobs an hour of one hand, in the busiest hour
  const jobsAnHour = (JOBS_A_DAY / OPEN_HOURS) * UNEVEN
  const arrivals: number[] = []
  for (let hand = 0; hand < hands; hand++) {
    // the first job of the day is begun within the first hour; what came before it stands at some answer
    let at = draw() * (3_600_000 / jobsAnHour) - answersAJob * BETWEEN_S * 1000
    while (at < endMs) {
      let answer = at
      for (let n = 0; n < answersAJob; n++) {
        // from half to one and a half times
        answer += BETWEEN_S * 1000 * (0.5 + draw())
        if (answer >= 0 && answer < endMs) arrivals.push(answer)
      }
      at += (3_600_000 / jobsAnHour) * (0.5 + draw())
    }
  }
  arrivals.sort((a, b) => a - b)
  const freeAt = Array<number>(servers).fill(0)
  const waits: number[] = []
  let worked = 0
  for (const at of arrivals) {
    const first = freeAt.indexOf(Math.min(...freeAt))
    const begins = Math.max(at, freeAt[first]!)
    const takes = service()
    freeAt[first] = begins + takes
    worked += takes
    waits.push(begins - at)
  }
  waits.sort((a, b) => a - b)
  const part = (p: number) => waits[Math.floor((waits.length - 1) * p)] ?? 0
  return {
    answers: arrivals.length,
    busy: worked / (servers * endMs),
    p50: part(0.5),
    p99: part(0.99),
    longest: waits.at(-1) ?? 0,
  }
}
