"""The week: when jobs are wanted, when somebody is in the shop, and the order that follows."""
