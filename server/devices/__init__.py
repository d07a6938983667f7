"""The devices that may speak to this server from the network: paired by a code, known by a cookie, let go again."""
