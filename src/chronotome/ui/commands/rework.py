"""Keys that act on chosen hits where there are some, else on clips, marks or hits of Tighten."""

from chronotome.ui.commands.clips import ClipCommands
from chronotome.ui.commands.hits import HitCommands
from chronotome.ui.commands.marks import MarkCommands
from chronotome.ui.commands.patterns import PatternCommands
from chronotome.ui.commands.slices import SliceCommands
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.state.view_state import Stage
from chronotome.words import tr


class ReworkCommands:
    """One method for each key that means different things."""

    def __init__(  # noqa: PLR0917 - all that a key may mean
        self,
        desk: UiContext,
        clips: ClipCommands,
        slices: SliceCommands,
        patterns: PatternCommands,
        marks: MarkCommands,
        hits: HitCommands,
    ) -> None:
        self._desk, self._clips, self._slices = desk, clips, slices
        self._patterns, self._marks, self._hits = patterns, marks, hits
        self._kept: ClipCommands | SliceCommands | PatternCommands = clips
        """Which of them copied last."""

    @property
    def _is_here(self) -> bool:
        return self._desk.view.stage is Stage.REWORK

    @property
    def _on_hits(self) -> bool:
        return self._is_here and self._slices.has_chosen

    @property
    def _on_steps(self) -> bool:
        return self._is_here and bool(self._desk.view.chosen.steps)

    @property
    def _meant(self) -> ClipCommands | SliceCommands | PatternCommands:
        """What is chosen: steps, hits or clips."""
        if self._on_steps:
            return self._patterns
        return self._slices if self._on_hits else self._clips

    def delete(self, *, is_closed: bool = False) -> None:
        """Chosen hits or clips in Rework, else the selected onsets."""
        if self._on_steps:
            self._patterns.delete()
        elif self._on_hits:
            self._slices.delete(is_closed=is_closed)
        elif self._asks_for_hits(tr("delete")):
            return
        elif self._is_here or is_closed:
            self._clips.delete(is_closed=is_closed)
        else:
            self._marks.drop()

    def _asks_for_hits(self, do: str) -> bool:
        """In a clip of hits or steps that is not chosen itself, nothing is done to the clip."""
        view = self._desk.view
        if not self._is_here or view.chosen.clips or view.chosen.range is not None:
            return False
        if self._patterns.is_here:
            words = tr("Select steps to {0} them, or click the clip title", do)
        elif self._slices.slices is not None:
            words = tr("Select hits to {0} them, or click the clip title", do)
        else:
            return False
        self._desk.say(words)
        return True

    def duplicate(self) -> None:
        self._meant.duplicate()

    def ask_repeats(self) -> None:
        (self._slices if self._on_hits else self._clips).ask_repeats()

    def keep(self, *, is_cut: bool = False) -> None:
        if is_cut and not (self._on_hits or self._on_steps) and self._asks_for_hits(tr("cut")):
            return
        self._kept = self._meant
        self._kept.keep(is_cut=is_cut)

    def paste(self) -> None:
        self._kept.paste()

    def choose_all(self) -> None:
        """All hits or steps where one is chosen, else all clips of the track."""
        self._meant.choose_all()

    def by_line(self, step: int) -> None:
        self._meant.by_line(step)

    def reverse(self) -> None:
        """Steps by their slices, hits by themselves, else clips."""
        meant = self._patterns.kits if self._on_steps else self._slices if self._on_hits else self._clips
        meant.reverse()

    def cut(self) -> None:
        """At the selected hit, at the playhead, or a hit that was taken apart in two."""
        chosen = self._desk.view.chosen
        is_taken_apart = self._is_here and self._slices.slices is not None
        if is_taken_apart and chosen.range is None and not chosen.clips:
            self._slices.cut_here()
        elif chosen.onsets and chosen.range is None:
            self._marks.cut()
        else:
            self._clips.split_here()

    def join(self) -> None:
        if self._on_hits:
            self._slices.glue()
        else:
            self._clips.join()

    def step(self, by: int, *, is_extending: bool = False) -> None:
        """To the next or previous hit."""
        if self._is_here and self._patterns.is_here:
            self._patterns.step(by, is_extending=is_extending)
        elif self._is_here and self._slices.slices is not None:
            self._slices.step(by, is_extending=is_extending)
        else:
            self._marks.step(by, is_extending=is_extending)

    def hear(self) -> None:
        if self._on_steps:
            self._patterns.kits.hear_chosen()
        elif self._on_hits:
            self._slices.hear_chosen()
        else:
            self._marks.hear_selected()

    def up(self, steps: int) -> None:
        """In Rework the value in the Shape lane of the chosen hits, else hits so many ms earlier."""
        if self._on_steps:
            self._patterns.shape_by(steps)
        elif self._on_hits:
            self._slices.step_value(self._desk.view.shape, steps)
        else:
            self._hits.nudge(-steps)

    def later(self, milliseconds: int) -> None:
        """Chosen hits in Rework, else marks."""
        if self._on_steps:
            self._patterns.nudge(milliseconds)
        elif self._on_hits:
            self._slices.nudge(milliseconds)
        else:
            self._marks.nudge(milliseconds=milliseconds)
