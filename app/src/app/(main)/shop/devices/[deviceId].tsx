import { room } from '../../../../rooms/room';

export default room((rooms) => rooms.DeviceEntryRoom);
