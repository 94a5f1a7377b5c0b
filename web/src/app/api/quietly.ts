/** Work on this browser's disk. One that keeps nothing (a private window, a full disk) only loses the copy: the server has the first. */
export const quietly = async <T>(work: () => Promise<T>, otherwise: T): Promise<T> => {
  try {
    return await work();
  } catch {
    return otherwise;
  }
};

/** A disk that is slower than this is not waited for, ms. */
const diskMs = 1000;
/** What the disk says, or something else where it does not answer soon. */
export const soon = <T>(work: Promise<T>, otherwise: T): Promise<T> =>
  Promise.race([work, new Promise<T>((done) => setTimeout(done, diskMs, otherwise))]);
