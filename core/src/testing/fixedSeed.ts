import fc from 'fast-check';

/** The same cases in every run: a test that passes here passes everywhere. FC_SEED tries others. */
fc.configureGlobal({ seed: Number(process.env['FC_SEED'] ?? 20_260_511) });
