"""What the tray of Rework says of hits: taken apart, shaped, chosen, on another rhythm."""

from collections.abc import Callable

from PySide6.QtWidgets import QPushButton

from chronotome.session.edits.apart import At, Cuts
from chronotome.session.edits.hits import clip_at
from chronotome.session.edits.shaping import set_value, values_of
from chronotome.session.model import Session
from chronotome.session.slices import Lengthen
from chronotome.ui.actions import Actions
from chronotome.ui.commands.slices import SliceCommands
from chronotome.ui.controls.combo import Combo
from chronotome.ui.controls.figures import counted, decibels, milliseconds, semitones, sides, signed
from chronotome.ui.controls.segmented import Segmented
from chronotome.ui.controls.value_slider import ValueSlider
from chronotome.ui.desk import Desk
from chronotome.ui.stages.rows import Rows

WAYS = (
    ("at onsets", Cuts()),
    ("at marks set by hand", Cuts(At.MARKS)),
    ("at every bar", None),
    ("on lines of 1/2", Cuts(At.LINES, step=2.0)),
    ("on lines of 1/4", Cuts(At.LINES, step=1.0)),
    ("on lines of 1/8", Cuts(At.LINES, step=0.5)),
    ("on lines of 1/16", Cuts(At.LINES, step=0.25)),
    ("on lines of 1/32", Cuts(At.LINES, step=0.125)),
    *((f"into {parts} parts", Cuts(At.PARTS, parts=parts)) for parts in (2, 4, 8, 16, 32)),
)
"""How a clip is taken apart; None: by the song's bars."""
LENGTHENED = ("cut", "ring on", "stretch")


def tilt_words(value: float) -> str:
    return f"{signed(value, 0)} dB"


class HitRows(Rows):
    """Settings of the chosen hits."""

    def __init__(self, desk: Desk, actions: Actions, slices: SliceCommands) -> None:
        super().__init__(desk, actions)
        self._slices = slices
        self.sliders: dict[str, tuple[ValueSlider, float]] = {}
        self.head = self.add_label("", "heading")
        with self.section() as self.whole:
            self.way = Combo("Where the clip is cut into hits", [words for words, _ in WAYS])
            self.row("Into hits").addWidget(self.way, 1)
            self.take_apart = QPushButton("Take the clip apart")
            self.take_apart.setToolTip("Take the clip apart as chosen, or what was swept over of it")
            self.take_apart.clicked.connect(self._take_apart)
            self.add(self.take_apart)
        with self.section() as self.apart:
            self._build_shape()
            self._build_places()
            self._build_choosing()
        self.show_hits()

    def _take_apart(self) -> None:
        words, cuts = WAYS[self.way.currentIndex()]
        self._slices.take_apart(cuts or Cuts(At.LINES, step=self.desk.session.metre.bar), words)

    def _slider(  # noqa: PLR0917 - what a slider is
        self,
        name: str,
        words: str,
        low: float,
        high: float,
        write: Callable[[float], str],
        step: float,
        unit: float,
    ) -> ValueSlider:
        slider = ValueSlider(self.desk.view, words, low, high, write, step=step, usual=0.0)
        self.sliders[name] = slider, unit

        def edit(session: Session, value: float) -> Session:
            return self._moved(session, name, value * unit)

        self.bind(slider, edit, f"{words} of hits")
        return slider

    def _moved(self, session: Session, name: str, value: float) -> Session:
        """The last chosen hit at a value, the others as far from it as they were."""
        view = self.desk.view
        place, hits = view.place, view.hits
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
        words = {"hear-onset": "Hear", "reverse-clip": "Reverse", "duplicate": "Copy"}
        self._of_chosen = self._short_buttons(words)
        loud = self._slider("loudness", "Loudness", -24, 12, decibels, 0.5, 1.0)
        pitch = self._slider("pitch", "Pitch", -24, 24, semitones, 1.0, 1.0)
        pan = self._slider("pan", "Pan", -100, 100, sides, 1.0, 0.01)
        tilt = self._slider("tilt", "Dark to bright", -12, 12, tilt_words, 1.0, 1.0)
        self.beside(loud, pan)
        self.beside(pitch, tilt)
        with self.folded("Fades, start, length") as self.fold:
            rise = self._slider("fade in", "Fade in", 0, 500, milliseconds, 1.0, 1.0)
            fall = self._slider("fade out", "Fade out", 0, 1000, milliseconds, 1.0, 1.0)
            start = self._slider("start", "Starts later", 0, 300, milliseconds, 1.0, 0.001)
            length = self._slider("length", "Length", 0, 2000, milliseconds, 5.0, 0.001)
            self.beside(rise, fall)
            self.beside(start, length)
            self.longer = Segmented(
                self.desk.view, "What becomes of a hit that is made longer", list(LENGTHENED)
            )
            self.longer.chosen.connect(self._choose_lengthened)
            self.row("Longer").addWidget(self.longer, 1)
            self._short_buttons({"by-tape": "Pitch with length", "as-recorded": "As recorded"})
            self._short_buttons({"shape-ramp": "Ramp", "shape-more": "+ 10 %", "shape-less": "− 10 %"})

    def _choose_lengthened(self, index: int) -> None:
        self.desk.view.lengthens = Lengthen(index)
        self._slices.lengthen_by(Lengthen(index))

    def _build_places(self) -> None:
        with self.folded("Places, order, rhythm") as self.places:
            self._short_buttons({"swap": "Swap", "shuffle": "Shuffle", "turn-order": "Turn round"})
            self._short_buttons({"hits-double": "Double time", "hits-half": "Half time"})
            self._short_buttons({"join": "Glue", "cut": "Cut here", "fills": "Fill gaps"})
            self._short_buttons({"take-rhythm": "Rhythm of…", "share-bands": "Lows, highs…"})
            self.pull = Combo("What dragged hits are pulled to", ["the grid"])
            self.pull.activated.connect(self._choose_pull)
            self.row("Pull to").addWidget(self.pull, 1)
            self._short_buttons({"whole": "Whole again", "keep-whole": "Copy of it"})

    def _build_choosing(self) -> None:
        with self.folded("Choose hits") as self.choosing:
            self._short_buttons({"choose-alike": "Alike", "choose-others": "The others"})
            self._short_buttons({"choose-low": "Low", "choose-mid": "Mid", "choose-high": "High"})
            self._short_buttons({"choose-louder": "Louder…", "choose-every": "Every…"})

    def _choose_pull(self, index: int) -> None:
        view = self.desk.view
        view.pull_to(None if index == 0 else self._slices.others[index - 1])

    def show_hits(self) -> None:
        view = self.desk.view
        slices, hits = self._slices.slices, view.hits
        self.whole.setVisible(slices is None)
        self.apart.setVisible(slices is not None)
        if slices is None:
            self.head.setText("The clip is whole" if view.clip is not None else "No clip")
            return
        self.head.setText(
            f"{counted(len(hits), 'hit')} of {len(slices)} chosen"
            if hits
            else f"{counted(len(slices), 'hit')}, none chosen"
        )
        clip, at = view.clip, slices.at(hits[-1:])
        for button in self._of_chosen:
            button.setEnabled(bool(at))
        for name, (slider, unit) in self.sliders.items():
            slider.setEnabled(bool(at))
            if at and clip is not None:
                slider.set_value(float(values_of(self.desk.session, clip.take, name)[at[0]]) / unit)
        self.longer.set_index(int(slices.column("lengthened")[at[0]]) if at else int(view.lengthens))
        names = ["the grid", *(f"hits of {self._slices.name_of(each)}" for each in self._slices.others)]
        if names != [self.pull.itemText(each) for each in range(self.pull.count())]:
            self.pull.clear()
            self.pull.addItems(names)
        others = self._slices.others
        self.pull.setCurrentIndex(others.index(view.rhythm) + 1 if view.rhythm in others else 0)
