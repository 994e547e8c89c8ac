"""The lanes under the wave: one row each says its stage, and when it is seen. Another lane is another row."""

from collections.abc import Callable, Iterator
from dataclasses import dataclass

from chronotome.ui.commands.general import Commands
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.state.view_state import Stage, ViewState
from chronotome.ui.timeline.drift_lane import DriftLane
from chronotome.ui.timeline.groove_lane import GrooveLane
from chronotome.ui.timeline.lane import Lane
from chronotome.ui.timeline.loudness_lane import LoudnessLane
from chronotome.ui.timeline.match_lane import MatchLane
from chronotome.ui.timeline.pattern_lane import PatternLane
from chronotome.ui.timeline.proof_lane import ProofLane
from chronotome.ui.timeline.pulse_lane import PulseLane
from chronotome.ui.timeline.shape_lane import ShapeLane
from chronotome.ui.timeline.step_shape_lane import StepShapeLane
from chronotome.ui.timeline.strength_lane import StrengthLane
from chronotome.words import tr


def _is_sliced(view: ViewState) -> bool:
    clip = view.chosen.clip
    return clip is not None and clip.take.slices is not None


def _plays_pattern(view: ViewState) -> bool:
    clip = view.chosen.clip
    return clip is not None and clip.take.playing is not None


@dataclass(frozen=True)
class EvidenceRow:
    """One lane. Of rows of a stage that have words one is seen at a time: buttons switch between them."""

    name: str
    """As settings keep its height, and as actions and `ViewState.evidence` call it."""
    stage: Stage
    make: Callable[[UiContext, Commands], Lane]
    words: str = ""
    share: int = 10
    """Of the height, beside those of the other lanes in sight; the wave has 11."""
    is_wanted: Callable[[ViewState], bool] = lambda _view: True

    def is_seen(self, view: ViewState) -> bool:
        if view.stage is not self.stage or not self.is_wanted(view):
            return False
        return not self.words or self.name == evidence_of(view, self.stage)


ROWS = (
    EvidenceRow("strength", Stage.MARK, lambda desk, commands: StrengthLane(desk, commands.marks)),
    EvidenceRow("pulse", Stage.FIT, lambda desk, commands: PulseLane(desk, commands.fit)),
    EvidenceRow("drift", Stage.TIGHTEN, lambda desk, commands: DriftLane(desk, commands.hits), tr("Drift")),
    EvidenceRow("groove", Stage.TIGHTEN, lambda desk, _commands: GrooveLane(desk), tr("Groove")),
    EvidenceRow(
        "match", Stage.TIGHTEN, lambda desk, commands: MatchLane(desk, commands.tighten), tr("Match")
    ),
    EvidenceRow(
        "loudness", Stage.TIGHTEN, lambda desk, commands: LoudnessLane(desk, commands.hits), tr("Loudness")
    ),
    EvidenceRow("shape", Stage.REWORK, lambda desk, _commands: ShapeLane(desk), is_wanted=_is_sliced),
    EvidenceRow("proof", Stage.EXPORT, lambda desk, commands: ProofLane(desk, commands.proof)),
    EvidenceRow(
        "pattern",
        Stage.REWORK,
        lambda desk, commands: PatternLane(desk, commands.patterns),
        share=16,
        is_wanted=_plays_pattern,
    ),
    EvidenceRow(
        "step_shape",
        Stage.REWORK,
        lambda desk, _commands: StepShapeLane(desk),
        share=6,
        is_wanted=_plays_pattern,
    ),
)


def choices_of(stage: Stage) -> list[EvidenceRow]:
    """Rows of a stage of which one is seen at a time."""
    return [row for row in ROWS if row.stage is stage and row.words]


def evidence_of(view: ViewState, stage: Stage) -> str:
    """The name of the one that is seen."""
    names = [row.name for row in choices_of(stage)]
    chosen = view.evidence.get(stage)
    return chosen if chosen in names else next(iter(names), "")


def switchable() -> Iterator[tuple[int, EvidenceRow]]:
    """All rows that are switched between, and where each stands in its stage."""
    for stage in Stage:
        yield from enumerate(choices_of(stage))
