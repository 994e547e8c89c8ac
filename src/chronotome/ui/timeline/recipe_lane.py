"""Spans with a recipe of their own, under the ruler."""

from collections.abc import Callable, Sequence
from functools import partial

from chronotome.bridge.store import Edit
from chronotome.session.edits.tightening import clear_span, move_span
from chronotome.session.edits.timing import set_loop
from chronotome.session.model import Session
from chronotome.session.settings import SettingsSpan
from chronotome.ui.commands.tightening import TightenCommands
from chronotome.ui.state.figures import grid_words
from chronotome.ui.state.ui_context import UiContext
from chronotome.ui.state.view_state import For, Stage
from chronotome.ui.timeline.span_strip import SpanStrip, Strip
from chronotome.words import tr


class RecipeLane(SpanStrip):
    """Click: its recipe is in the tray. Double-click: loop it. Drag an end: another span."""

    hint = tr(
        "Click a span to edit its settings, drag its ends to resize it.\nDouble-click "
        "loops it. Shift+Backspace removes it."
    )
    title, label = tr("Spans"), tr("Edit span")
    height_of = 20

    def __init__(self, desk: UiContext, commands: TightenCommands) -> None:
        super().__init__(desk, tr("Spans with their own settings"))
        self._commands = commands
        view = desk.view
        for signal in (
            view.stage_changed,
            view.chosen.focus_changed,
            desk.store.changed,
            view.scope_changed,
        ):
            signal.connect(self._on_spans)
        self._on_spans()

    @property
    def _spans(self) -> tuple[SettingsSpan, ...]:
        leading = self.desk.view.leading
        return () if leading is None else leading[0].spans

    def _on_spans(self) -> None:
        self.setVisible(self.desk.view.stage is Stage.TIGHTEN and bool(self._spans))
        self.update()

    def spans(self) -> Sequence[Strip]:
        view = self.desk.view
        chosen = view.span if view.recipe_for is For.SPAN else None
        return [
            Strip(self._words(each), each.start, each.end, chosen == (each.start, each.end))
            for each in self._spans
        ]

    def _words(self, span: SettingsSpan) -> str:
        """What its recipe does, in a few words."""
        recipe, session = span.recipe, self.desk.session
        groove = session.groove(recipe.groove)
        if recipe.match is not None:
            names = {track.id: track.name for track in session.tracks}
            aim = tr("like {0}", names.get(recipe.match.track, "nobody"))
        else:
            aim = grid_words(recipe.grid) if groove is None else groove.name
        rounds = f" ×{recipe.rounds + 1}" if recipe.rounds else ""
        return f"{recipe.strength * 100:.0f} %{rounds}  {aim}"

    def go_to(self, number: int) -> None:
        span = self._spans[number]
        self.desk.view.set_recipe_for(For.SPAN, (span.start, span.end))

    def open(self, number: int) -> None:
        span = self._spans[number]
        self.desk.store.apply(lambda session: set_loop(session, span.start, span.end), tr("Loop span"))

    def moved(self, number: int, end: str, beat: float) -> Edit:
        leading = self.desk.view.leading

        def edit(session: Session) -> Session:
            return session if leading is None else move_span(session, leading[0].id, number, **{end: beat})

        return edit

    def choices(self, number: int) -> Sequence[tuple[str, Callable[[], None]]]:
        return [
            (tr("Show settings"), partial(self.go_to, number)),
            (tr("Loop"), partial(self.open, number)),
            (tr("Remove own settings"), partial(self._remove, number)),
        ]

    def _remove(self, number: int) -> None:
        leading, span = self.desk.view.leading, self._spans[number]
        if leading is not None:
            track = leading[0].id
            self.desk.store.apply(
                lambda session: clear_span(session, track, span.start, span.end),
                tr("Remove settings of span"),
            )
            self.desk.view.set_recipe_for(For.TRACK)
