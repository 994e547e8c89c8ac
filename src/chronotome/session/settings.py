"""What is asked of Tighten: recipes, spans that have one of their own, variants, and how sound is moved."""

from enum import StrEnum
from functools import cached_property
from math import inf
from typing import Annotated

from msgspec import Meta, Struct

from chronotome.dsp.stretch.engines import MoveBy, StretchMaterial
from chronotome.dsp.stretch.gaps import Crossing, Fill, Gap
from chronotome.session.grid import Grid
from chronotome.session.groove import GrooveId
from chronotome.session.limits import (
    MOST_ONSETS,
    Beat,
    Id,
    Name,
    Share,
)
from chronotome.session.lines import SwingOf
from chronotome.session.onsets import OnsetId
from chronotome.session.strokes import USUAL_STROKE

MOST_ROUNDS, MOST_SHIFT = 20, 40.0
USUAL_BEARS, MOST_SEMITONES = 1.25, 24.0
LEAST_CROSSFADE, MOST_CROSSFADE = 0.5, 50.0
"""Milliseconds."""
MOST_SPANS, MOST_VARIANTS = 10_000, 100


class Alone(StrEnum):
    """What becomes of a hit without a partner in the take that is matched."""

    ALONG = "moves along"
    LEFT = "left as played"
    SILENT = "silent"


class Match(Struct, frozen=True):
    """Another track, whose hits are the lines: hits are paired in order."""

    track: Id
    within: Annotated[float, Meta(ge=5.0, le=500.0)] = 90.0
    """Milliseconds beyond which two hits are no pair."""
    alone: Alone = Alone.ALONG
    said: Annotated[tuple[tuple[OnsetId, OnsetId | None], ...], Meta(max_length=MOST_ONSETS)] = ()
    """Pairs set by hand: a hit, and its partner or None."""


class TightenSettings(Struct, frozen=True):
    """The recipe from onsets to targets. A new track has strength 0: nothing moves by itself."""

    grid: Grid = Grid()
    follows_ruler: bool = False
    """Whether the grid's division is what the ruler shows, and follows the zoom."""
    swing: Annotated[float, Meta(ge=50.0, le=75.0)] = 50.0
    strength: Share = 0.0
    leave_alone: Annotated[float, Meta(ge=0.0, le=100.0)] = 0.0
    """Milliseconds from the line within which a hit is not moved."""
    stroke: Annotated[float, Meta(ge=0.0, le=100.0)] = USUAL_STROKE
    """Milliseconds within which onsets are one stroke; less at fast grids."""
    catch: Share = 1.0
    """Of half a grid step: farther from its line than that nothing is pulled; 1 pulls all."""
    swing_of: SwingOf = SwingOf.GRID
    rounds: Annotated[int, Meta(ge=0, le=MOST_ROUNDS)] = 0
    """How often what is left of the way was drawn in once more, by the same strength."""
    groove: GrooveId = 0
    """One of the session's grooves, or 0: the straight grid."""
    timing: Annotated[float, Meta(ge=0.0, le=1.5)] = 1.0
    """How much of the groove's offsets the lines have."""
    scales: bool = False
    """Whether the groove's offsets are the same share of a step at any tempo; else the same ms."""
    shift: Annotated[float, Meta(ge=-MOST_SHIFT, le=MOST_SHIFT)] = 0.0
    """Milliseconds by which all lines are later."""
    loudness: Share = 0.0
    """How far hits are drawn to the groove's loudness, or to an even one without a groove."""
    match: Match | None = None
    """Another take to follow, instead of the grid."""

    @property
    def pull(self) -> float:
        """The share of the way to its line that a hit goes, all rounds together."""
        return self.strength if not self.rounds else 1.0 - (1.0 - self.strength) ** (self.rounds + 1)


class SettingsSpan(Struct, frozen=True):
    """From one beat to another hits have another recipe."""

    start: Beat
    end: Beat
    recipe: TightenSettings


class Snapshot(Struct, frozen=True):
    """A track's recipe kept under a name, to compare."""

    name: Name
    recipe: TightenSettings
    spans: Annotated[tuple[SettingsSpan, ...], Meta(max_length=MOST_SPANS)] = ()


class Moving(Struct, frozen=True, dict=True):
    """How sound is moved, whatever it is moved to, and at what pitch."""

    by: MoveBy = MoveBy.STRETCHING
    keeps: StretchMaterial = StretchMaterial.HEARD
    """What stretching keeps clean."""
    fill: Fill = Fill.TO_AND_FRO
    """What comes into gaps, where it is cut."""
    crossfade: Annotated[float, Meta(ge=LEAST_CROSSFADE, le=MOST_CROSSFADE)] = 5.0
    """Milliseconds over which that comes in."""
    crossing: Crossing = Crossing.SMOOTH
    bears: Annotated[float, Meta(ge=1.01, le=8.0)] = USUAL_BEARS
    """How many times longer or shorter sound may become before it is to be checked; drags stop there."""
    semitones: Annotated[float, Meta(ge=-MOST_SEMITONES, le=MOST_SEMITONES)] = 0.0
    """The pitch of all of it, with cents; what it lasts stays as it is."""
    keeps_formants: bool = False
    """Whether a voice keeps its colour at another pitch."""

    @property
    def borne(self) -> float:
        """How much stretching is borne: any where nothing is stretched, because it is cut."""
        return inf if self.by is MoveBy.CUTTING else self.bears

    @cached_property
    def gap(self) -> Gap:
        return Gap(self.fill, self.crossfade / 1000, self.crossing)
