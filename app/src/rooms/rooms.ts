/**
 * Every screen that computes or draws more than a list, as one: the bundler puts what two of its pieces share into the
 * first load, so that there must be one piece only.
 */
export { BuildRoom } from './BuildRoom';
export {
  ChooseRoom,
  DeviceRoom,
  FindRoom,
  HarnessRoom,
  JobIndexRoom,
  LogRoom,
  ProveRoom,
  SizeRoom,
  VehicleRoom,
} from './jobRooms';
export {
  ChooseModel,
  ModelRoom,
  ModelsScreen,
  NewVehicleScreen,
  PlaceEntryRoom,
  PlaceRoom,
} from './vehicleRooms';
export { DeviceEntryRoom } from './DeviceEntryRoom';
export { ToolRoom } from './ToolRoom';
export { JobShell } from '../shell/JobShell';
export { BenchScreen } from '../features/bench/BenchScreen';
export { NewJobScreen } from '../features/job/NewJobScreen';
export { PickListScreen } from '../features/job/PickListScreen';
export { ShopScreen } from '../features/shop/ShopScreen';
export { ToolsScreen } from '../features/tools/ToolsScreen';
