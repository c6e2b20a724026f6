/** Waits for all of some tasks that run side by side, and throws what the first of them threw only when none runs any more. */
export async function together(...tasks) {
  const ended = await Promise.allSettled(tasks);
  const failed = ended.find((one) => one.status === 'rejected');
  if (failed !== undefined) throw failed.reason;
}
