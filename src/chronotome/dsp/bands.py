"""Bands of onsets, kinds of material, and the version of the analysis that names them."""

from enum import IntEnum

from chronotome.words import Named

ANALYSIS_VERSION = 8


class Band(IntEnum):
    """Where most of an onset's new energy lies: below 200 Hz, above 2.5 kHz, or between."""

    LOW = 0
    MID = 1
    HIGH = 2


class Instrument(Named):
    """What a recording is of, for the ear that judges its attacks."""

    DRUMS = "drums"
    STRUCK = "struck", "plucked or struck"
    """Plucked and struck strings, keys, bass."""
    SUSTAINED = "sustained", "bowed or sung"
    """Bowed, blown and sung: soft attacks."""
    MIXED = "mixed"
    """Several of them, or not known."""
