import type { H3Event } from 'h3'
import { type DoorTry, nameAtTheDoor } from '../services/sign-in'
import { askedHost } from './asked-host'
import { clientAddress } from './client-address'
import { knownDevice, startSession } from './session'

interface Asked {
  signIn: string
  shop?: string
}
/** A try to sign in, with where it comes from. */
export function tryAtTheDoor(event: H3Event, { signIn, shop }: Asked): DoorTry {
  const name = nameAtTheDoor({ signIn, shop })
  const from = { signIn: name, address: clientAddress(event), device: knownDevice(event, name) }
  return { signIn, shop, host: askedHost(event), from }
}
/** Lets in whoever was asked for, and knows their device by the same name the next time. */
export const letIn = (event: H3Event, person: Parameters<typeof startSession>[1], asked: Asked): Promise<void> =>
  startSession(event, person, nameAtTheDoor(asked))
