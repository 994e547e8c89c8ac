"""Rows of settings from top to bottom, in the order of use: what trays and their sections are made of."""

from collections.abc import Callable, Iterable, Iterator
from contextlib import contextmanager

from PySide6.QtWidgets import QFrame, QHBoxLayout, QPushButton, QVBoxLayout, QWidget

from chronotome.session.model import Session
from chronotome.ui.actions.actions import Actions
from chronotome.ui.actions.short import SHORT
from chronotome.ui.controls.combo import Combo
from chronotome.ui.controls.fold import Fold
from chronotome.ui.controls.plain_text import Label
from chronotome.ui.controls.segmented import Segmented
from chronotome.ui.controls.value_slider import ValueSlider
from chronotome.ui.state.ui_context import UiContext

LABEL = 58


class Rows(QWidget):
    """Settings below one another."""

    def __init__(self, desk: UiContext, actions: Actions) -> None:
        super().__init__()
        self.desk, self.table = desk, actions
        self.rows = QVBoxLayout(self)
        self.rows.setContentsMargins(0, 0, 0, 0)
        self.rows.setSpacing(8)

    def add(self, widget: QWidget) -> None:
        self.rows.addWidget(widget)

    def add_label(self, words: str, kind: str = "soft") -> Label:
        label = Label(words)
        label.setObjectName(kind)
        label.setWordWrap(True)
        self.rows.addWidget(label)
        return label

    def add_rule(self) -> QFrame:
        line = QFrame()
        line.setFixedHeight(1)
        line.setStyleSheet(f"background: {self.desk.view.theme.rule};")
        self.desk.view.theme_changed.connect(
            lambda: line.setStyleSheet(f"background: {self.desk.view.theme.rule};")
        )
        self.rows.addWidget(line)
        return line

    def add_buttons(self, *names: str, more: Iterable[QPushButton] = ()) -> list[QPushButton]:
        """A row of buttons that do actions, and others behind them."""
        row = QHBoxLayout()
        row.setSpacing(8)
        buttons = []
        for name in names:
            button = QPushButton(SHORT.get(name, self.table.words(name).rstrip("…")))
            button.setObjectName("band")
            self.table.attach(button, name)
            row.addWidget(button)
            buttons.append(button)
        for button in more:
            row.addWidget(button)
        self.rows.addLayout(row)
        return buttons

    @contextmanager
    def folded(self, words: str) -> Iterator[Fold]:
        """What is added meanwhile lies below a heading that opens it."""
        fold, rows = Fold(self.desk.view, words), self.rows
        rows.addWidget(fold)
        rows.addWidget(fold.body)
        self.rows = fold.rows
        yield fold
        self.rows = rows

    def row(self, words: str) -> QHBoxLayout:
        row = QHBoxLayout()
        row.setSpacing(8)
        label = Label(words)
        label.setObjectName("soft")
        label.setMinimumWidth(LABEL)
        row.addWidget(label)
        self.rows.addLayout(row)
        return row

    def _short_buttons(self, words: dict[str, str]) -> list[QPushButton]:
        buttons = self.add_buttons(*words)
        for button, each in zip(buttons, words.values(), strict=True):
            button.setText(each)
        return buttons

    def combo(self, words: str, choices: list[str], do: Callable[[int], None]) -> Combo:
        combo = Combo(words, choices)
        combo.activated.connect(do)
        self.row(words).addWidget(combo, 1)
        return combo

    def beside(self, *widgets: QWidget) -> None:
        """Two or more in one row, each as wide."""
        both = QHBoxLayout()
        both.setSpacing(14)
        for widget in widgets:
            both.addWidget(widget, 1)
        self.rows.addLayout(both)

    @contextmanager
    def section(self) -> Iterator[QWidget]:
        """What is added meanwhile is shown and hidden as one."""
        whole, rows = QWidget(), self.rows
        inner = QVBoxLayout(whole)
        inner.setContentsMargins(0, 0, 0, 0)
        inner.setSpacing(8)
        rows.addWidget(whole)
        self.rows = inner
        yield whole
        self.rows = rows

    def bind(
        self,
        slider: ValueSlider,
        edit: Callable[[Session, float], Session],
        label: str,
        *,
        is_sifting: bool = False,
    ) -> None:
        """Sliding drafts, letting go keeps."""
        store = self.desk.store
        slider.slid.connect(
            lambda value: store.draft(lambda session: edit(session, value), is_sifting=is_sifting)
        )
        slider.settled.connect(lambda value: store.apply(lambda session: edit(session, value), label))
        slider.dropped.connect(store.drop_draft)

    def choice(
        self, name: str, words: list[str], edit: Callable[[Session, int], Session], label: str
    ) -> Segmented:
        """A choice that is an edit."""
        segmented = Segmented(self.desk.view, name, words)
        store = self.desk.store
        segmented.chosen.connect(lambda index: store.apply(lambda session: edit(session, index), label))
        self.rows.addWidget(segmented)
        return segmented
