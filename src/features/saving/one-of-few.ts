/**
 * Makes this one of the few pages of the browser that have something at a time.
 *
 * @param most how many there can be
 * @returns what lets others be one; undefined where there are as many already. Where a browser has no locks, nobody counts.
 */
export async function oneOfFew(name: string, most: number): Promise<(() => void) | undefined> {
  if (!navigator.locks) return () => {};
  for (let place = 0; place < most; place++) {
    const given = await lockIfFree(`${name}.${place}`);
    if (given) return given;
  }
  return undefined;
}

const lockIfFree = (name: string): Promise<(() => void) | undefined> =>
  new Promise(resolve => {
    void navigator.locks.request(name, { ifAvailable: true }, lock =>
      lock ? new Promise<void>(letGo => resolve(() => letGo())) : resolve(undefined),
    );
  });
