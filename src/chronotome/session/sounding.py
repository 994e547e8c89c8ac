"""The slices of a kit one by one, as steps play them: what keys let sound is what patterns do."""

from typing import NamedTuple

import numpy as np

from chronotome.session.kits import Kit
from chronotome.session.model import Playing, Session, Take, replace
from chronotome.session.patterned import patterned
from chronotome.session.patterns import LONGEST_PATTERN, Pattern
from chronotome.session.rounds import laid_of
from chronotome.session.score import NO_HIT, Score

APART = 64.0
"""Quarter notes from one slice to the next: none cuts another short."""


class Sounding(NamedTuple):
    """A row of a score for each slice of a kit; -1 where it is silent."""

    score: Score
    rows: list[int]


def sounding(session: Session, kit: Kit) -> Sounding:
    """How each slice sounds by itself in a song, without what leads into its attack."""
    count = len(kit.slices)
    pattern = Pattern(0, "", 0, min(LONGEST_PATTERN, APART * count))  # nearer where they are many
    step = pattern.beats / count
    numbers = [each.id for each in kit.slices]
    pattern = pattern.with_steps({"slices": numbers, "places": [at * step for at in range(count)]})
    alone = replace(kit, slices=tuple(replace(each, choke=0) for each in kit.slices))
    laid = laid_of(pattern, 0.0, pattern.beats, session.tempo, session.rate)
    take = Take(kit.slices[0].recording, 0, 1, playing=Playing(0))
    made = patterned(take, laid, pattern, alone, session.recordings, None, None, session.tempo, session.rate)
    onsets, rows = made.score.onset, [-1] * count
    for row in np.flatnonzero(onsets != NO_HIT).tolist():
        rows[int(onsets[row]) - 1] = row
    return Sounding(made.score, rows)
