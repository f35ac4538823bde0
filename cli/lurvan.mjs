#!/usr/bin/env node
import { main } from './dist/main.mjs'

process.exitCode = await main(process.argv.slice(2))
