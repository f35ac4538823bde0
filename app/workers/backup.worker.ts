import { expose } from 'comlink'
import { readBuildFile } from '../storage/backup'
import type { BackupService } from './protocol'

const service: BackupService = { readBuildFile }

expose(service)
