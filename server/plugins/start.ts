import { defineNitroPlugin } from 'nitropack/runtime'
import { pool } from '../database/pool'
import { startedUp } from '../startup'

/** Starts the migrations with the server, and lets connections go when it stops. */
export default defineNitroPlugin(nitro => {
  startedUp().catch((error: Error) => console.error(`The database could not be made ready: ${error.message}`))
  nitro.hooks.hook('close', () => pool().end())
})
