/** How long a password has to be: the server says so too, and a test holds the two against each other. */
export const LEAST_PASSWORD = 10;
