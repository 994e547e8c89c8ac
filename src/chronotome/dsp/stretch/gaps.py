"""What comes into the gap behind a hit that was cut and moved, and how it is joined."""

from typing import NamedTuple

from chronotome.words import Named


class Fill(Named):
    """What comes into the gap behind a hit that was cut and moved."""

    TO_AND_FRO = "tail to and fro", "tail back and forth"
    AGAIN = "tail again", "repeat tail"
    ROOM = "room tone"
    NOTHING = "nothing", "none"

    @classmethod
    def _missing_(cls, value: object) -> "Fill | None":
        """Older sessions may say that it is always turned round: in all but long gaps that is the first."""
        return cls.TO_AND_FRO if value == "tail reversed" else None


class Crossing(Named):
    """Along which curve one sound gives way to another where it is cut."""

    SMOOTH = "smooth", "S-curve"
    STRAIGHT = "straight", "linear"
    FIRM = "firm", "steep"
    """Most of it happens in the middle."""


class Gap(NamedTuple):
    """What comes into gaps where it is cut, and how it is joined."""

    fill: Fill = Fill.TO_AND_FRO
    fade: float = 0.005
    """Seconds over which what fills a gap comes in; it leads into the next attack over twice as much."""
    crossing: Crossing = Crossing.SMOOTH
