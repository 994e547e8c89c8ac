"""What was heard, the file's length, its rounds, its name and tags -> one ranked list of tempi."""

from collections.abc import Sequence
from dataclasses import dataclass, replace

import numpy as np

from chronotome.dsp.beats.loops import DetectedTempi, Proposal, rarity
from chronotome.dsp.beats.tempo import FASTEST, SLOWEST

EXACT = 6
"""Decimals of a tempo: a loop of minutes still ends on its frame."""
AGREES = 0.015
"""Share within which two tempi are one."""
NAME_SHARE, TAG_SHARE = 3.0, 6.0
"""How many times likelier a tempo is that the file's name or its tags agree with."""
TOLD_BONUS = 4.0
"""The logarithm of how many times likelier a whole number of beats is whose tempo the name or a tag tells."""
TOLD_EXACTLY = 0.006
UNHEARD_SHARE = 0.06
FEWEST_SHARE, LEAST_SHARE, LENGTH_SHARE = 0.004, 0.001, 0.01
RELATIVES = (0.5, 2.0, 2 / 3, 1.5)
"""Half, double and 3:2 are always among the candidates: no ear is sure of them."""


@dataclass(frozen=True)
class TempoCandidate:
    """A tempo that the recording may have, how likely it is, and what speaks for it."""

    beats_per_minute: float
    confidence: float
    sources: tuple[str, ...] = ("measured",)
    """Among `measured`, `name`, `tag`, `length`, `rounds`."""


@dataclass(frozen=True)
class NamedTempi:
    """Tempi that the file's name and tags tell, if any."""

    name: float | None = None
    tag: float | None = None


def told_by_name_too(proposed: Sequence[Proposal], told: NamedTempi) -> list[Proposal]:
    """Proposals whose tempo the name or a tag tells are far likelier; likeliest first."""

    def bonus(tempo: float) -> float:
        agrees = [said for said in (told.name, told.tag) if said and abs(tempo / said - 1) < TOLD_EXACTLY]
        return TOLD_BONUS if agrees else 0.0

    raised = [replace(each, score=each.score + bonus(each.loop.beats_per_minute)) for each in proposed]
    return sorted(raised, key=lambda each: -each.score)


class _Ranking:
    """Tempi with the share and the sources of each; what is within 1.5 % is one, called as it came first."""

    def __init__(self) -> None:
        self.shares: dict[float, float] = {}
        self.sources: dict[float, tuple[str, ...]] = {}

    def known(self, tempo: float) -> float | None:
        near = [each for each in self.shares if abs(each / tempo - 1) < AGREES]
        return min(near, key=lambda each: abs(each - tempo)) if near else None

    def add(self, tempo: float, share: float, source: str) -> None:
        known = self.known(tempo)
        tempo = tempo if known is None else known
        self.shares[tempo] = self.shares.get(tempo, 0.0) + share
        before = self.sources.get(tempo, ())
        self.sources[tempo] = before if source in before else (*before, source)

    def vote(self, tempo: float, source: str, factor: float) -> None:
        known = self.known(tempo)
        if known is None:
            self.add(tempo, UNHEARD_SHARE, source)
            return
        odds = self.shares[known] / max(1e-9, 1 - self.shares[known]) * factor
        self.shares[known] = odds / (1 + odds)
        self.sources[known] = (*self.sources[known], source)


def ranked(
    chosen: float, heard: DetectedTempi, proposed: Sequence[Proposal], told: NamedTempi
) -> tuple[TempoCandidate, ...]:
    """All tempi, likeliest first; `chosen` names its tempo exactly, and is the first of those equally likely.

    What was heard and what the length proposes share one scale: where they disagree, neither is sure.
    """
    is_heard = any(abs(chosen / each - 1) < AGREES for each, _ in heard.tempi)
    ranking = _Ranking()
    ranking.add(chosen, 0.0, "measured" if is_heard else "length")
    scores = np.array([heard.score, *(each.score for each in proposed)])
    shares = np.exp(scores - scores.max())
    shares /= shares.sum()
    best = next((each for each in proposed if rarity(each.loop.beats) == 0), None)
    for each, share in zip(proposed, shares[1:].tolist(), strict=True):
        if share > FEWEST_SHARE or each is best:
            tempo = each.loop.beats_per_minute
            is_for_both = is_heard and each.source == "length" and heard.relation(tempo)
            tempo = chosen if is_for_both else tempo  # the ear decides between the two
            ranking.add(tempo, max(share, LENGTH_SHARE * (each is best)), each.source)
    _add_heard(ranking, chosen, heard, float(shares[0]))
    for source, said, factor in (("name", told.name, NAME_SHARE), ("tag", told.tag, TAG_SHARE)):
        if said is not None:
            ranking.vote(said, source, factor)
    return _listed(ranking, chosen, best)


def _add_heard(ranking: _Ranking, chosen: float, heard: DetectedTempi, share: float) -> None:
    """What was heard shares what it is worth; half, double and 3:2 of the chosen tempo are there at least."""
    total = sum(confidence for _, confidence in heard.tempi)
    for tempo, confidence in heard.tempi:
        ranking.add(tempo, share * confidence / max(total, 1e-12), "measured")
    for ratio in RELATIVES:
        other = chosen * ratio
        if SLOWEST <= other <= FASTEST and ranking.known(other) is None:
            ranking.add(other, LEAST_SHARE, "measured")


def _listed(ranking: _Ranking, chosen: float, best: Proposal | None) -> tuple[TempoCandidate, ...]:
    total = sum(ranking.shares.values())
    always = [chosen, *(chosen * ratio for ratio in RELATIVES)]
    always += [best.loop.beats_per_minute] if best else []
    rows = sorted(ranking.shares.items(), key=lambda item: (-item[1], item[0] != chosen))
    return tuple(
        TempoCandidate(round(tempo, EXACT), round(share / total, 3), ranking.sources[tempo])
        for tempo, share in rows
        if share / total > FEWEST_SHARE or any(abs(tempo / each - 1) < AGREES for each in always)
    )
