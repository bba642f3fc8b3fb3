import { DEFAULT_STEPS, type StepLengths } from './stepControl'

/** The default steps, each so many times as short. */
export const shorterSteps = (by: number): StepLengths => ({
  first: DEFAULT_STEPS.first / by,
  longest: DEFAULT_STEPS.longest / by,
  kelvin: DEFAULT_STEPS.kelvin / by,
  rim: DEFAULT_STEPS.rim / by
})
