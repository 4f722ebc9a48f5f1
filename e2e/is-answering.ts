/** Whether a server is there and well. */
export const isAnswering = (address: string): Promise<boolean> =>
  fetch(`${address}/api/health`).then(
    ({ ok }) => ok,
    () => false,
  );
