import fc from 'fast-check';

/** The same draws in every run, so that a red run can be repeated; FC_SEED=random number explores others. */
fc.configureGlobal({ seed: Number(process.env['FC_SEED'] ?? 20261124) });
