import { expose } from 'comlink'
import { coverOfStored } from '~~/core/show/result/cover'
import { readBuildFile } from '../storage/backup'
import { DEMOS } from '../storage/demos'
import type { LibraryService } from './protocol'

const service: LibraryService = {
  readBuildFile,
  // The worker's own file is named after its contents, and the whole reckoning is among them.
  edition: async () => self.location.pathname,
  cover: async (stored) => coverOfStored(stored),
  demoCover: async (demo) => coverOfStored(structuredClone((await DEMOS[demo]()).default)),
}

expose(service)
