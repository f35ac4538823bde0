import { defineEventHandler } from 'h3'
import demo from '../../demo/fen-tender.lurvan.json'

/** The demo build, an ordinary build file. */
export default defineEventHandler(() => demo)
