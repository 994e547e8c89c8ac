"""How long work tells how far it is, and learns that it is no longer wanted."""

from collections.abc import Callable

Progress = Callable[[float], None]
"""Called with 0 to 1; raises `Cancelled` to stop the work."""


def unheard(_fraction: float) -> None:
    """Progress that nobody listens to."""


def part_of(progress: Progress, start: float, end: float) -> Progress:
    """Progress of a part, told as a span of the whole."""
    return lambda fraction: progress(start + (end - start) * fraction)
