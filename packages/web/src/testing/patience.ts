import { configure } from '@testing-library/react';

// What is waited for comes at once or never; only a failure takes as long, so a slow machine makes none.
configure({ asyncUtilTimeout: 15_000 });
