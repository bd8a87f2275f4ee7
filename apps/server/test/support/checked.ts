/** Every answer the server gives in a test is held against what its operation says of itself. */
process.env['LATTICE_CHECK_ANSWERS'] = 'yes';
