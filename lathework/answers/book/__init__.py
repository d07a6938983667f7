"""What the book of threads answers: a thread's page, holes, one thread laid over another."""
