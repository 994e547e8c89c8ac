"""Rows that are settings of the recipe: what they change is what the tray is for."""

from chronotome.session.edits.tightening import set_recipe
from chronotome.session.model import Session
from chronotome.ui.controls.value_slider import ValueSlider
from chronotome.ui.stages.rows import Rows
from chronotome.ui.state.ui_context import UiContext


def with_recipe(desk: UiContext, session: Session, **values: object) -> Session:
    """The session with settings of the recipe that the tray shows changed."""
    scope = desk.view.scope
    edit = desk.leading_edit(lambda each, track, take: set_recipe(each, track, take, scope, **values))
    return edit(session)


def recipe_slider(  # noqa: PLR0917 - what a slider is
    rows: Rows,
    name: str,
    words: str,
    low: float,
    high: float,
    figure: object,
    label: str,
    *,
    unit: float = 1.0,
    step: float = 1.0,
    usual: float | None = None,
) -> ValueSlider:
    """A slider of one setting of the recipe; `unit` leads from the setting to what is shown."""
    slider = ValueSlider(rows.desk.view, words, low, high, figure, step=step, usual=usual)  # type: ignore[arg-type]

    def edit(session: Session, value: float) -> Session:
        return with_recipe(rows.desk, session, **{name: round(value / unit, 4)})

    rows.bind(slider, edit, label)
    return slider
