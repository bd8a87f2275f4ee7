/** Whole stages are clicked through, on machines that may do other work meanwhile. */
jest.setTimeout(30_000);
