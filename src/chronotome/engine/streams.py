"""What devices are given: functions of blocks, called by threads that must not wait."""

from collections.abc import Callable

from chronotome.dsp.audio import Samples

Process = Callable[[Samples, float], bool]
"""Fills a block, float32 (frames, 2), that will sound at a moment of the monotonic clock.

False where it is silence, because nothing plays.
"""
Hear = Callable[[Samples, float], None]
"""Takes a block, float32 (frames, 2), whose first frame came in at a moment of the monotonic clock."""
