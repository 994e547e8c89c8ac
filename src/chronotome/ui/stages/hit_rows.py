"""What the tray of Rework says of hits: taken apart, shaped, chosen, on another rhythm."""

from PySide6.QtWidgets import QPushButton

from chronotome.session.edits.hits import clip_at
from chronotome.session.edits.shaping import set_value, values_of
from chronotome.session.edits.slicing import At, Cuts
from chronotome.session.model import Session
from chronotome.session.slices import VALUES, Lengthen
from chronotome.ui.actions.actions import Actions
from chronotome.ui.commands.slices import SliceCommands
from chronotome.ui.controls.combo import Combo
from chronotome.ui.controls.segmented import Segmented
from chronotome.ui.controls.units import factor_of, slider_of
from chronotome.ui.controls.value_slider import ValueSlider
from chronotome.ui.stages.rows import Rows
from chronotome.ui.state.figures import counted
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

WAYS = (
    (tr("at onsets"), Cuts()),
    (tr("at hand-set onsets"), Cuts(At.MARKS)),
    (tr("at every bar"), None),
    (tr("on 1/2 lines"), Cuts(At.LINES, step=2.0)),
    (tr("on 1/4 lines"), Cuts(At.LINES, step=1.0)),
    (tr("on 1/8 lines"), Cuts(At.LINES, step=0.5)),
    (tr("on 1/16 lines"), Cuts(At.LINES, step=0.25)),
    (tr("on 1/32 lines"), Cuts(At.LINES, step=0.125)),
    *((tr("in {0} parts", parts), Cuts(At.PARTS, parts=parts)) for parts in (2, 4, 8, 16, 32)),
)
"""How a clip is taken apart; None: by the song's bars."""
LENGTHENED = (tr("source"), tr("tail"), tr("stretch"))


class HitRows(Rows):
    """Settings of the chosen hits."""

    def __init__(self, desk: UiContext, actions: Actions, slices: SliceCommands) -> None:
        super().__init__(desk, actions)
        self._slices = slices
        self.sliders: dict[str, tuple[ValueSlider, float]] = {}
        self.head = self.add_label("", "heading")
        with self.section() as self.whole:
            self.way = Combo(tr("Slice position"), [words for words, _ in WAYS])
            self.row(tr("Slice")).addWidget(self.way, 1)
            self.take_apart = QPushButton(tr("Slice clip"))
            self.take_apart.setToolTip(tr("Slice the clip, or the selected range, as set above"))
            self.take_apart.clicked.connect(self._take_apart)
            self.add(self.take_apart)
        with self.section() as self.apart:
            self._build_shape()
            self._build_places()
            self._build_choosing()
        self.show_hits()

    def _take_apart(self) -> None:
        words, cuts = WAYS[self.way.currentIndex()]
        self._slices.take_apart(cuts or Cuts(At.LINES, step=0.0), words)

    def _slider(self, name: str) -> ValueSlider:
        column = VALUES[name]
        slider = slider_of(self.desk.view, column)
        factor = factor_of(column)
        self.sliders[name] = slider, factor

        def edit(session: Session, value: float) -> Session:
            return self._moved(session, name, value / factor)

        self.bind(slider, edit, tr("{0} of hits", column.label))
        return slider

    def _add_sliders(self, *, is_rare: bool) -> None:
        """Those of all columns that are told of, two in a row."""
        sliders = [self._slider(name) for name, each in VALUES.items() if each.is_rare is is_rare]
        for at in range(0, len(sliders), 2):
            self.beside(*sliders[at : at + 2])

    def _moved(self, session: Session, name: str, value: float) -> Session:
        """The last chosen hit at a value, the others as far from it as they were."""
        view = self.desk.view
        place, hits = view.chosen.place, view.chosen.hits
        if place is None or not hits:
            return session
        take = clip_at(session, place).take
        if take.slices is None:
            return session
        now, at = values_of(session, take, name), take.slices.at(hits)
        head = take.slices.at(hits[-1:])
        if not head:
            return session
        by = value - float(now[head[0]])
        return set_value(session, place, name, {take.slices.ids[each]: float(now[each]) + by for each in at})

    def _build_shape(self) -> None:
        words = {"hear-onset": tr("Play"), "reverse-clip": tr("Reverse"), "duplicate": tr("Copy")}
        self._of_chosen = self._short_buttons(words)
        self._add_sliders(is_rare=False)
        with self.folded(tr("Fades, start, length")) as self.fold:
            self._add_sliders(is_rare=True)
            self.longer = Segmented(self.desk.view, tr("Fill of a lengthened hit"), list(LENGTHENED))
            self.longer.chosen.connect(self._choose_lengthened)
            self.row(tr("Lengthen by")).addWidget(self.longer, 1)
            self._short_buttons({"by-tape": tr("Pitch with length"), "as-recorded": tr("Reset")})
            self._short_buttons({"shape-ramp": tr("Ramp"), "shape-more": "+ 10 %", "shape-less": "− 10 %"})

    def _choose_lengthened(self, index: int) -> None:
        self.desk.view.lengthens = Lengthen(index)
        self._slices.lengthen_by(Lengthen(index))

    def _build_places(self) -> None:
        with self.folded(tr("Order and rhythm")) as self.places:
            self._short_buttons(
                {"swap": tr("Swap"), "shuffle": tr("Shuffle"), "turn-order": tr("Reverse order")}
            )
            self._short_buttons({"hits-double": tr("Double time"), "hits-half": tr("Half time")})
            self._short_buttons({"join": tr("Join"), "cut": tr("Split"), "fills": tr("Fill gaps")})
            self._short_buttons({"take-rhythm": tr("Copy rhythm…"), "share-bands": tr("Lows and highs…")})
            self.pull = Combo(tr("Snap target for dragged hits"), [tr("grid")])
            self.pull.activated.connect(self._choose_pull)
            self.row(tr("Snap to")).addWidget(self.pull, 1)
            self._short_buttons({"whole": tr("Remove slicing"), "keep-whole": tr("Keep original")})

    def _build_choosing(self) -> None:
        with self.folded(tr("Select hits")) as self.choosing:
            self._short_buttons({"choose-alike": tr("Similar"), "choose-others": tr("Invert")})
            self._short_buttons({"choose-low": tr("Low"), "choose-mid": tr("Mid"), "choose-high": tr("High")})
            self._short_buttons({"choose-louder": tr("Louder…"), "choose-every": tr("Every nth…")})

    def _choose_pull(self, index: int) -> None:
        view = self.desk.view
        view.pull_to(None if index == 0 else self._slices.others[index - 1])

    def show_hits(self) -> None:
        view = self.desk.view
        slices, hits = self._slices.slices, view.chosen.hits
        self.whole.setVisible(slices is None)
        self.apart.setVisible(slices is not None)
        if slices is None:
            self.head.setText(tr("Not sliced yet") if view.chosen.clip is not None else tr("No clip"))
            return
        self.head.setText(
            tr("{0} of {1} selected", counted(len(hits), "hit"), len(slices))
            if hits
            else tr("{0}, none selected", counted(len(slices), "hit"))
        )
        clip, at = view.chosen.clip, slices.at(hits[-1:])
        for button in self._of_chosen:
            button.setEnabled(bool(at))
        for name, (slider, factor) in self.sliders.items():
            slider.setEnabled(bool(at))
            if at and clip is not None:
                slider.set_value(float(values_of(self.desk.session, clip.take, name)[at[0]]) * factor)
        self.longer.set_index(int(slices.column("lengthened")[at[0]]) if at else int(view.lengthens))
        names = [
            tr("grid"),
            *(tr("hits of {0}", self._slices.name_of(each)) for each in self._slices.others),
        ]
        if names != [self.pull.itemText(each) for each in range(self.pull.count())]:
            self.pull.clear()
            self.pull.addItems(names)
        others = self._slices.others
        self.pull.setCurrentIndex(others.index(view.rhythm) + 1 if view.rhythm in others else 0)
