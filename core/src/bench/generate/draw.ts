/** One of a list, all alike. */
export function pick<T>(list: readonly T[], random: () => number): T {
  return list[Math.floor(random() * list.length)] as T;
}

/** One of a list by weight. */
export function weighted<T>(list: readonly (readonly [T, number])[], random: () => number): T {
  const total = list.reduce((sum, [, weight]) => sum + weight, 0);
  let left = random() * total;
  for (const [item, weight] of list) {
    left -= weight;
    if (left < 0) return item;
  }
  return (list[list.length - 1] as readonly [T, number])[0];
}

/** A list in random order (Fisher and Yates). */
export function shuffled<T>(list: readonly T[], random: () => number): T[] {
  const order = [...list];
  for (let index = order.length - 1; index > 0; index -= 1) {
    const other = Math.floor(random() * (index + 1));
    [order[index], order[other]] = [order[other] as T, order[index] as T];
  }
  return order;
}
