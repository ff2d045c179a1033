import { answerQuestions } from '../../device/askWorker'
import { workRepair } from './repairWork'

onmessage = answerQuestions(workRepair)
