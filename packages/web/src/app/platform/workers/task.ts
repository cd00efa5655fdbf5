import { type Remote, wrap } from 'comlink';

/** Stopped by the person who began it. */
export class Stopped extends Error {}

/** Work in a worker of its own: it ends with the work, or at once where it is stopped, whatever it is doing. */
export class Task<Api> {
  private stopIt: () => void = () => undefined;

  constructor(private readonly make: () => Worker) {}

  async run<T>(work: (api: Remote<Api>) => Promise<T>): Promise<T> {
    const worker = this.make();
    const stopped = new Promise<never>((_, fail) => {
      this.stopIt = () => fail(new Stopped('Stopped.'));
      // A worker that cannot even be read says so here, and answers nothing.
      worker.addEventListener('error', () => fail(new Error('The worker could not be started.')));
    });
    try {
      return await Promise.race([work(wrap<Api>(worker)), stopped]);
    } finally {
      worker.terminate();
    }
  }

  stop(): void {
    this.stopIt();
  }
}
