import type { ErrorRequestHandler, RequestHandler } from 'express';
import { Problem, refusal } from '@einkorn/core';

/** HTTP status of a code; whatever is not named is the caller's bad input. */
const statusByCode: Record<string, number> = {
  'dish-missing': 404,
  'cook-missing': 404,
  'snapshot-missing': 404,
  'set-aside-missing': 404,
  'route-missing': 404,
  'key-missing': 404,
  'key-needed': 401,
  'right-missing': 403,
  'code-wrong': 403,
  'foreign-host': 403,
  'foreign-origin': 403,
  'dish-changed': 409,
  'kitchen-changed': 409,
  'outcome-changed': 409,
  'cook-over': 409,
  'id-taken': 409,
  'tap-id-taken': 409,
  'kitchen-begun': 409,
  'too-large': 413,
  'archive-too-large': 413,
  busy: 503,
};

/** RFC 9457 problem+json from any error. What is not a Problem is ours: logged, and told without its inside. */
export const problems: ErrorRequestHandler = (error: unknown, req, res, _next) => {
  // Half an answer cannot become a problem: whoever reads it sees that it ends too early, or has gone away.
  if (res.headersSent) {
    req.log.warn({ err: error }, 'an answer was broken off');
    return void res.destroy();
  }
  const known = asProblem(error);
  if (!known) req.log.error(error);
  const problem = known ?? refusal('internal');
  const status = known ? (statusByCode[problem.code] ?? 400) : 500;
  res
    .status(status)
    .type('application/problem+json')
    .json({
      type: 'about:blank',
      title: problem.message,
      status,
      detail: problem.message,
      instance: `urn:uuid:${res.get('X-Request-Id')}`,
      code: problem.code,
      issues: problem.issues,
    });
};

function asProblem(error: unknown): Problem | null {
  if (error instanceof Problem) return error;
  const type = typeof error === 'object' && error !== null && 'type' in error ? error.type : undefined;
  if (type === 'entity.parse.failed') return refusal('not-json');
  if (type === 'entity.too.large') return refusal('too-large');
  const status = typeof error === 'object' && error !== null && 'status' in error ? error.status : undefined;
  if (typeof status === 'number' && status >= 400 && status < 500) return refusal('bad-request');
  return null;
}

/** A database cannot be asked for control characters, and nobody has a reason to send them. */
export const plainAddress: RequestHandler = (req, _res, next) => {
  if (/%(?:[01][\da-f]|7f)/i.test(req.originalUrl)) throw refusal('bad-request');
  next();
};

export const noRoute: RequestHandler = (req) => {
  throw refusal('route-missing', { route: `${req.method} ${req.path.slice(0, 80)}` });
};
