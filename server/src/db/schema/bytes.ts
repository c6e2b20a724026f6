import { customType } from 'drizzle-orm/pg-core';

/** Bytes as they are. */
export const bytes = customType<{ data: Buffer; driverData: Buffer }>({
  dataType: () => 'bytea',
});
