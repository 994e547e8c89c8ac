"""Bands of onsets, and the version of the analysis that names them."""

from enum import IntEnum

ANALYSIS_VERSION = 1


class Band(IntEnum):
    """Where most of an onset's new energy lies: below 200 Hz, above 2.5 kHz, or between."""

    LOW = 0
    MID = 1
    HIGH = 2
