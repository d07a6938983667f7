"""From a job to its ordered operations, with positions, figures and cautions."""
