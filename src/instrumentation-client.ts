// Schemas are not compiled into code while the page runs: its policy allows no evaluation. Said without loading any.
const held = globalThis as { __zod_globalConfig?: { jitless?: boolean } };
(held.__zod_globalConfig ??= {}).jitless = true;
