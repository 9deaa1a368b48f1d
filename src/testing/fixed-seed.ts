import fc from 'fast-check';

// One seed, so that the same tree gets the same verdict everywhere; SEED=42 npx jest looks elsewhere.
fc.configureGlobal({ seed: Number(process.env['SEED'] ?? 20261012) });
