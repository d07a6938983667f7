"""Every way of making a thread by one contract, weighed and ranked."""
