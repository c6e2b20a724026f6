export { shops, users, signInTries, session } from './schema/people';
export { models, places, sources, handbookEntries } from './schema/vehicles';
export { notes } from './schema/notes';
export { photos, photoPins } from './schema/photos';
export {
  devices,
  jobs,
  jobFeeds,
  feedPlans,
  proofs,
  jobSlots,
  jobWires,
  jobSteps,
  jobClosing,
  commands,
  unreadableJobs,
} from './schema/jobs';
export { readings } from './schema/readings';
export { tapPoints, tapReadings, tapObservations } from './schema/taps';
