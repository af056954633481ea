/** A task was ended for time or memory, or because nobody waits for it any more. */
export class TaskStopped extends Error {
  readonly cancelled: boolean;

  constructor(cancelled: boolean, options?: ErrorOptions) {
    super('The task was stopped', options);
    this.name = 'TaskStopped';
    this.cancelled = cancelled;
  }
}
