"""What every endpoint shares: the page, errors, CSRF, the database backend."""
