import '@testing-library/jest-dom/vitest';
import { configure } from '@testing-library/dom';

// A slow machine takes seconds over a dialog full of keys; as in vite.config.ts, the limit is for what hangs.
configure({ asyncUtilTimeout: 20_000 });
