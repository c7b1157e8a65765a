import { defineNitroPlugin } from 'nitropack/runtime'
import { pool } from '../database/pool'
import { startedUp } from '../startup'
import { tellFailure } from '../telling/log'

/** Starts the migrations with the server, and lets connections go when it stops. */
export default defineNitroPlugin(nitro => {
  startedUp().catch((error: Error) => tellFailure(error, { doing: 'making the database ready' }))
  nitro.hooks.hook('close', () => pool().end())
})
