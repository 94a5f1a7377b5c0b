import { Injectable } from '@angular/core';
import type {
  Cook,
  Dish,
  DonenessMap,
  Kitchen,
  LessonId,
  LessonRun,
  Near,
  NextTime,
  Outlook,
  Own,
  Plan,
  Reading,
  Reality,
} from '@einkorn/core';
import { Observable, filter, map, type Subscriber } from 'rxjs';
import type { Answers, Brought, Kind, ProblemDoc, Question, Reply } from './protocol';
import { spawnPlanner } from './spawn';

/** A refusal of the planner, as an error of the stream. */
export class PlanProblem extends Error {
  constructor(readonly problem: ProblemDoc) {
    super(problem.message);
  }
}

interface Job {
  id: number;
  ask: Question;
  out: Subscriber<Reply>;
}

/**
 * One worker with a line of one: a new question replaces the one still waiting, and unsubscribing from a running one
 * stops the worker when it is `long` (it is started again for the next question).
 */
class Lane {
  private worker: Worker | null = null;
  private running: Job | null = null;
  private waiting: Job[] = [];

  constructor(
    private readonly long: boolean,
    private readonly keepAll: boolean,
  ) {}

  ask(ask: Question, id: number): Observable<Reply> {
    return new Observable<Reply>((out) => {
      const job = { id, ask, out };
      if (!this.keepAll) this.waiting = [];
      this.waiting.push(job);
      this.next();
      return () => {
        this.waiting = this.waiting.filter((j) => j !== job);
        if (this.running !== job) return;
        if (!this.long) return;
        this.worker?.terminate();
        this.worker = null;
        this.running = null;
        this.next();
      };
    });
  }

  private next(): void {
    if (this.running) return;
    const job = this.waiting.shift();
    if (!job) return;
    this.running = job;
    this.worker ??= this.start();
    this.worker.postMessage({ id: job.id, ask: job.ask });
  }

  private start(): Worker {
    const worker = spawnPlanner();
    worker.addEventListener('message', ({ data }: MessageEvent<Reply>) => {
      const job = this.running;
      if (job?.id !== data.id) return;
      if (data.type !== 'progress') this.running = null;
      if (data.type === 'problem') job.out.error(new PlanProblem(data.problem));
      else job.out.next(data);
      if (data.type === 'done') job.out.complete();
      if (data.type !== 'progress') this.next();
    });
    worker.addEventListener('error', (e) => {
      const job = this.running;
      this.worker = null;
      this.running = null;
      job?.out.error(new PlanProblem({ code: 'worker', message: e.message, issues: [] }));
      this.next();
    });
    return worker;
  }
}

/** The core off the main thread: verdicts in one worker, slow comparisons in another, the shelf's in a third line. */
@Injectable({ providedIn: 'root' })
export class Planner {
  private ids = 0;
  private readonly fast = new Lane(false, false);
  private readonly slow = new Lane(true, true);

  /** The plan of what is on the bench; a newer question overtakes a waiting one. */
  plan(dish: Dish, kitchen: Kitchen, near: Near | null = null): Observable<Plan> {
    return this.done(this.fast.ask({ kind: 'plan', dish, kitchen, ...(near ? { near } : {}) }, ++this.ids));
  }

  /** What a recipe says; a newer text overtakes a waiting one. */
  read(text: string, own: Own = {}): Observable<Reading> {
    return this.done(this.fast.ask({ kind: 'recipe', text, own }, ++this.ids));
  }

  /** What a file or a pasted page holds. */
  bring(source: string, own: Own = {}): Observable<Brought> {
    return this.done(this.fast.ask({ kind: 'bring', text: source, own }, ++this.ids));
  }

  /** Both pots of a lesson of the lab; a slider that was moved on overtakes the place before. */
  lesson(lesson: LessonId, value?: number): Observable<LessonRun> {
    return this.done(this.fast.ask({ kind: 'lesson', lesson, ...(value === undefined ? {} : { value }) }, ++this.ids));
  }

  /** A plan that may wait its turn (the shelf, a comparison). */
  planLater(dish: Dish, kitchen: Kitchen): Observable<Plan> {
    return this.done(this.slow.ask({ kind: 'plan', dish, kitchen }, ++this.ids));
  }

  /** Any longer question about a plan; unsubscribing stops the work. */
  ask<K extends Exclude<Kind, 'plan' | 'map'>>(
    kind: K,
    dish: Dish,
    kitchen: Kitchen,
    plan: Plan | null,
  ): Observable<Answers[K]> {
    return this.done(this.slow.ask({ kind, dish, kitchen, ...(plan ? { plan } : {}) }, ++this.ids));
  }

  /** The doneness map with its progress, 0..1, until `map` is there. */
  map(dish: Dish, kitchen: Kitchen, plan: Plan): Observable<{ share: number; map: DonenessMap | null }> {
    return this.slow.ask({ kind: 'map', dish, kitchen, plan }, ++this.ids).pipe(
      filter((r) => r.type !== 'problem'),
      map((r) => (r.type === 'done' ? { share: 1, map: r.value as DonenessMap } : { share: r.share, map: null })),
    );
  }

  /** The rest of a running cook from what has really happened. */
  outlook(dish: Dish, kitchen: Kitchen, plan: Plan, real: Reality): Observable<Outlook> {
    return this.done(this.slow.ask({ kind: 'outlook', dish, kitchen, plan, real }, ++this.ids));
  }

  /** The one change that would have made a cook just right. */
  nextTime(cook: Cook, kitchen: Kitchen): Observable<NextTime | null> {
    const { dish, plan } = cook;
    return this.done(this.slow.ask({ kind: 'next-time', dish, kitchen, plan, cook }, ++this.ids));
  }

  private done<T>(replies: Observable<Reply>): Observable<T> {
    return replies.pipe(
      filter((r) => r.type === 'done'),
      map((r) => r.value as T),
    );
  }
}
