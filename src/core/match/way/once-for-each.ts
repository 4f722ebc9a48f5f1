/** Makes a change of a deal that is made once for each deal, so that what was worked out for it is found again. */
export function onceForEach<Of extends object>(change: (of: Of) => Of | null): (of: Of) => Of | null {
  const made = new WeakMap<Of, { of: Of | null }>();
  return of => {
    const known = made.get(of);
    if (known) return known.of;
    const changed = change(of);
    made.set(of, { of: changed });
    return changed;
  };
}
