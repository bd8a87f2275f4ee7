import { configure } from '@testing-library/react';

// Whole stages are clicked through, on machines that may do other work meanwhile: what comes at all is waited for.
configure({ asyncUtilTimeout: 60_000 });
