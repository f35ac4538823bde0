// Builds the application unless it is built from these very sources.
import { build } from './fresh.mjs'

build()
