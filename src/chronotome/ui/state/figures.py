"""How numbers are written: units, decimals, and a real minus sign."""

from chronotome.session.grid import Feel, Grid, TempoMap
from chronotome.words import tr, trn


def signed(value: float, decimals: int = 1) -> str:
    text = f"{value:+.{decimals}f}".replace("-", "−")
    return text if float(f"{value:.{decimals}f}") else f"{0:.{decimals}f}"


HIGHEST_CUTOFF = 20_000.0
"""Hz: from there on nothing is taken out."""


def plain(value: float, decimals: int = 1) -> str:
    return f"{value:.{decimals}f}".replace("-", "−")


def decibels(value: float) -> str:
    return "−∞ dB" if value <= -90 else tr("{0} dB", plain(value))


def clock(seconds: float) -> str:
    """Minutes, seconds and milliseconds: m:ss.mmm."""
    sign = "−" if seconds < 0 else ""
    milliseconds = round(abs(seconds) * 1000)
    return f"{sign}{milliseconds // 60000}:{milliseconds // 1000 % 60:02d}.{milliseconds % 1000:03d}"


def share(value: float) -> str:
    """A confidence: 97 %, or under 1 %."""
    return tr("under 1 %") if value < 0.01 else f"{value:.0%}".replace("%", " %")


def counted(number: int, one: str, many: str | None = None) -> str:
    return trn(number, one, many or f"{one}s")


def megabytes(count: float) -> str:
    return tr("{0} MB", plain(count / 1000000.0))


def milliseconds(value: float) -> str:
    return tr("{0} ms", plain(value, 0))


def percent(value: float) -> str:
    return f"{plain(value, 0)} %"


def sides(value: float) -> str:
    """A place from left (−100) to right."""
    if not value:
        return tr("middle")
    return tr("{0} left", plain(-value, 0)) if value < 0 else tr("{0} right", plain(value, 0))


def semitones(value: float) -> str:
    return tr("{0} st", signed(value, 2))


def tilt(value: float) -> str:
    """DB by which the highest octaves are louder."""
    return tr("{0} dB", signed(value, 0))


def hertz(value: float) -> str:
    """Of a low-pass; the highest is none."""
    if value >= HIGHEST_CUTOFF:
        return tr("off")
    return tr("{0} kHz", plain(value / 1000, 1)) if value >= 1000 else tr("{0} Hz", plain(value, 0))


def times(value: float) -> str:
    return f"×{value:.0f}"


def grid_words(grid: Grid) -> str:
    """As in files, in the language that is spoken."""
    return grid.words if grid.feel is Feel.STRAIGHT else f"1/{grid.division} {grid.feel.label}"


def own_or_notes(value: float) -> str:
    """A length in quarter notes; none is the sound's own."""
    return tr("full") if value <= 0 else f"{plain(value, 3)} ♩"


def tempo_words(tempo: TempoMap) -> str:
    """The tempo of a song; where it changes, from the slowest to the fastest."""
    tempi = [each.beats_per_minute for each in tempo.changes]
    words = list(dict.fromkeys((plain(min(tempi), 2), plain(max(tempi), 2))))
    return "–".join(words)
