/** Work on this browser's disk. One that keeps nothing (a private window, a full disk) only loses the copy: the server has the first. */
export const quietly = async <T>(work: () => Promise<T>, otherwise: T): Promise<T> => {
  try {
    return await work();
  } catch {
    return otherwise;
  }
};
