"""A place in a recording, as files of marks have it."""

from dataclasses import dataclass

from chronotome.dsp.bands import Band


@dataclass(frozen=True)
class Mark:
    """A place in a recording. `seconds` is exact for marks that came without frames."""

    seconds: float
    strength: float = 100.0
    band: Band = Band.MID
    name: str = ""
    is_locked: bool = False
