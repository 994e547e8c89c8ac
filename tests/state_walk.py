"""Run by itself: walks the window through states, stages and sizes, and tells what is cut or overlaps.

state_walk.py FOLDER LANGUAGE SIZES [STATES]: LANGUAGE is en, pseudo or rtl, SIZES are like 1280x800,1024x700.
"""

import json
import sys
from collections.abc import Callable, Iterator, Sequence
from itertools import combinations
from pathlib import Path

from chronotome.ui.language import speak

LANGUAGE = sys.argv[2]
speak("pseudo" if LANGUAGE == "pseudo" else "en_none")

from PySide6.QtCore import QRect, Qt  # noqa: E402 - texts are looked up as the window is imported
from PySide6.QtWidgets import (  # noqa: E402
    QAbstractButton,
    QApplication,
    QCheckBox,
    QComboBox,
    QDialog,
    QLabel,
    QLineEdit,
    QPushButton,
    QScrollArea,
    QWidget,
)

import painted  # noqa: E402
from chronotome.files.journal import Journal  # noqa: E402
from chronotome.files.places import Settings  # noqa: E402
from chronotome.session.edits.clips import Range, move, set_clip  # noqa: E402
from chronotome.session.edits.fitting import set_recording_tempo  # noqa: E402
from chronotome.session.edits.metre import set_metre, set_metre_from  # noqa: E402
from chronotome.session.edits.rhythm import set_crossover  # noqa: E402
from chronotome.session.edits.sections import add_section  # noqa: E402
from chronotome.session.edits.slicing import At, Cuts, take_apart  # noqa: E402
from chronotome.session.edits.tempo import ramp_tempo, set_tempo, set_tempo_from  # noqa: E402
from chronotome.session.edits.tightening import set_tighten  # noqa: E402
from chronotome.session.edits.tracks import rename  # noqa: E402
from chronotome.session.metre import Metre  # noqa: E402
from chronotome.session.model import Crossover, MuteSpan, Session, replace  # noqa: E402
from chronotome.session.settings import Match, Moving, TightenSettings  # noqa: E402
from chronotome.ui.application import application, build, wait_until_ready  # noqa: E402
from chronotome.ui.commands.session_files import DEMO_SESSION  # noqa: E402
from chronotome.ui.controls.segmented import Segmented  # noqa: E402
from chronotome.ui.controls.sentence import Sentence  # noqa: E402
from chronotome.ui.controls.value_slider import ValueSlider  # noqa: E402
from chronotome.ui.panels.rail import WIDTH, StageCard  # noqa: E402
from chronotome.ui.state.theme import figure_font, text_font  # noqa: E402
from chronotome.ui.state.view_state import For, Stage  # noqa: E402
from chronotome.ui.window.main_window import MainWindow  # noqa: E402

CONTROLS = (QAbstractButton, QComboBox, QLineEdit, ValueSlider)
USUAL = 1280, 800
PAINTED = (USUAL, (1024, 700))
LONG = "A recording whose name is as long as those of phones: 2026-11-30 Ferry, stairwell, take 12 (room)"


class States:
    """What a session can be like; each begins from the demo."""

    def __init__(self, window: MainWindow, demo: Session) -> None:
        self.window, self.desk, self.demo = window, window.desk, demo
        self.run = window.actions_table.run

    def begin(self, session: Session | None = None) -> None:
        store = self.desk.store
        store.mark_saved(store.history.session)
        self.desk.recordings.lost = {}
        if self.desk.taking.is_on:
            self.run("take")
        self.window.usual_layout()
        store.apply(lambda _session: self.demo if session is None else session, "State")
        self.desk.view.chosen.choose_clips(())
        self.focus(0)

    def focus(self, number: int) -> None:
        self.desk.view.chosen.focus(self.demo.tracks[number].id)

    def apply(self, edit: Callable[[Session], Session]) -> None:
        self.desk.store.apply(edit, "State")

    @property
    def track(self) -> int:
        assert self.desk.view.chosen.focused is not None
        return self.desk.view.chosen.focused.id

    def demo_as_it_is(self) -> None:
        pass

    def empty(self) -> None:
        self.begin(Session())

    def one_loop(self) -> None:
        track = self.demo.tracks[3]
        self.begin(replace(self.demo, tracks=(track,), lock_groups=(), sections=(), lead=None))
        self.desk.view.chosen.focus(track.id)

    def swing(self) -> None:
        self.focus(3)
        self.apply(lambda s: set_tighten(s, self.track, swing=62.0))

    def drifting(self) -> None:
        self.focus(2)

    def locked(self) -> None:
        self.run("lock-all")

    def pattern(self) -> None:
        self.run("put-on-keys")
        self.run("pattern")

    def hits(self) -> None:
        place = self.desk.view.chosen.place
        assert place is not None
        self.apply(lambda s: take_apart(s, place, Cuts(At.LINES, step=0.25)))
        clip = self.desk.view.chosen.clip
        assert clip is not None
        assert clip.take.slices is not None
        self.desk.view.chosen.choose_hits(place, clip.take.slices.ids[:5])

    def swept(self) -> None:
        tracks = tuple(track.id for track in self.demo.tracks[:3])
        self.desk.view.chosen.choose_range(Range(100_000, 400_000, tracks))

    def span(self) -> None:
        self.apply(lambda s: replace(s, loop=None))
        self.run("loop-selection")
        self.window.commands.tighten.show_for(For.SPAN)

    def match(self) -> None:
        self.apply(lambda s: set_tighten(s, self.track, match=Match(self.demo.tracks[3].id)))
        self.desk.view.show_evidence(Stage.TIGHTEN, "match")

    def groove(self) -> None:
        self.run("take-groove")
        self.apply(lambda s: set_tighten(s, self.track, groove=s.grooves[-1].id))

    def names(self) -> None:
        for track in self.demo.tracks:
            self.apply(lambda s, track=track: rename(s, track.id, LONG))  # type: ignore[misc]
        self.apply(lambda s: add_section(s, LONG, 0.0, 16.0))

    def fast(self) -> None:
        self.apply(lambda s: set_tempo(s, 300.0))

    def odd(self) -> None:
        self.apply(lambda s: set_metre(s, Metre(7, 8)))

    def changing(self) -> None:
        """Tempo and metre that change, and a section of long name over the ruler."""
        self.apply(lambda s: ramp_tempo(set_tempo_from(s, 4.0, 117.25), 8.0, 16.0, 71.5))
        self.apply(lambda s: set_metre_from(set_metre_from(s, 2, Metre(3, 4), bars=1), 5, Metre(12, 8)))
        self.apply(lambda s: add_section(s, LONG, 0.0, 16.0))

    def long(self) -> None:
        self.apply(lambda s: set_recording_tempo(s, self.track, 20.5))
        self.apply(lambda s: add_section(s, "end", 4000.0, 4800.0))

    def missing(self) -> None:
        self.desk.recordings.lost = {each.content: each.file for each in self.demo.recordings}

    def keys(self) -> None:
        self.run("put-on-keys")
        self.run("play-keys")

    def taking(self) -> None:
        self.run("take")

    def hour(self) -> None:
        """A recording of sixty minutes, as far as screens can tell."""
        frames = 3600 * self.demo.rate
        self.apply(lambda s: move(s, [(s.tracks[5].id, s.tracks[5].clips[0].id)], frames))
        assert self.desk.view.sight.extent > frames
        self.desk.view.sight.fit()

    def acting(self) -> None:
        """All that can act on a clip acts on the first two of each track."""
        for track in self.demo.tracks:
            for clip in track.clips[:2]:
                place = (track.id, clip.id)
                take = replace(
                    clip.take, tighten=TightenSettings(), moving=Moving(), hushes=(MuteSpan(5000, 6000),)
                )
                self.apply(lambda s, place=place, take=take: set_clip(s, [place], take=take, is_muted=True))  # type: ignore[misc]
                self.apply(lambda s, place=place: set_crossover(s, place, Crossover(300.0)))  # type: ignore[misc]
        self.focus(1)

    def alone(self) -> None:
        """The lanes have all of the window."""
        self.window.toggle_large()

    def folded(self) -> None:
        self.window.toggle_side(self.window.tray_side)
        self.focus(4)


NAMES = [
    name
    for name in vars(States)
    if not name.startswith("_") and name not in {"begin", "focus", "apply", "track"}
]


def line(widget: QWidget) -> str:
    """What a control says in one line."""
    if isinstance(widget, QComboBox):
        return widget.currentText()
    text = getattr(widget, "text", None)
    return str(text()) if callable(text) else ""


def room(widget: QWidget) -> int:
    """Pixels for its line."""
    if isinstance(widget, QComboBox):
        return widget.width() - 34
    if isinstance(widget, QCheckBox):
        return widget.width() - 22
    return widget.width() - (8 if isinstance(widget, QPushButton) else -1)


def is_cut(widget: QWidget) -> bool:
    if isinstance(widget, Sentence):
        return False  # it tells all of it as its tooltip
    text = line(widget)
    if isinstance(widget, QLabel) and widget.wordWrap():
        needs = widget.heightForWidth(widget.width())
        return widget.hasHeightForWidth() and needs > widget.height() + 2 and not widget.toolTip()
    if isinstance(widget, QLineEdit):
        margins = widget.textMargins()
        needs = widget.fontMetrics().horizontalAdvance(text) + margins.left() + margins.right() + 8
        return needs > widget.width() and widget.objectName() == "figure"
    needs = widget.fontMetrics().horizontalAdvance(text.replace("&", "").partition("\n")[0])
    is_told = isinstance(widget, QComboBox | QLabel) and text in widget.toolTip()
    return bool(text) and needs > room(widget) and not is_told


def card_cuts(card: StageCard) -> Iterator[str]:
    from PySide6.QtGui import QFontMetrics

    told = card.toolTip()
    if QFontMetrics(figure_font(9, 500)).horizontalAdvance(card.figures.key) > WIDTH - 24 - 24 * bool(
        card.figures.to_check
    ):
        yield card.figures.key
    for words in card.figures.about.split("\n"):
        if QFontMetrics(text_font(10)).horizontalAdvance(words) > WIDTH - 22 and words not in told:
            yield words


def faults(window: MainWindow, size: tuple[int, int]) -> Iterator[tuple[str, ...]]:
    """Of the window as it is now."""
    seen = [each for each in window.findChildren(QWidget) if each.isVisible()]
    controls = [
        each for each in seen if isinstance(each, CONTROLS) and not each.objectName().startswith("qt_")
    ]
    yield from cuts(seen)
    yield from scrolled(seen, size)
    yield from misplaced(window, controls)
    if LANGUAGE == "en" and size in PAINTED:
        painted.forget()
        window.setUpdatesEnabled(True)
        window.repaint()
        window.setUpdatesEnabled(False)
        yield from painted.faults(seen)


def cuts(seen: list[QWidget]) -> Iterator[tuple[str, ...]]:
    for widget in seen:
        if isinstance(widget, QLabel | QPushButton | QCheckBox | QComboBox | QLineEdit) and is_cut(widget):
            yield "cut", type(widget).__name__, line(widget)
        if isinstance(widget, Segmented) and not widget.size_of_words() and LANGUAGE != "pseudo":
            yield "cut", "Segmented", widget.accessibleName()
        if isinstance(widget, StageCard):
            yield from (("cut", "card", words) for words in card_cuts(widget))


def scrolled(seen: list[QWidget], size: tuple[int, int]) -> Iterator[tuple[str, ...]]:
    """Trays may scroll, but not sideways, and not at the usual size. Lanes of tracks may."""
    for area in seen:
        if not isinstance(area, QScrollArea) or area.objectName() == "context":
            continue
        wide, tall = area.horizontalScrollBar().maximum(), area.verticalScrollBar().maximum()
        if wide:
            yield "wide", str(wide)
        if tall and size == USUAL and LANGUAGE == "en":
            yield "tall", str(tall)


def misplaced(window: MainWindow, controls: Sequence[QWidget]) -> Iterator[tuple[str, ...]]:
    """Outside of what they stand in, or over one another."""
    for widget in controls:
        parent = widget.parentWidget()
        if parent is None or isinstance(parent, CONTROLS):
            continue
        if not parent.rect().contains(widget.geometry()):
            yield "outside", type(widget).__name__, widget.accessibleName() or line(widget)
    boxes = [(each, QRect(each.mapTo(window, each.rect().topLeft()), each.size())) for each in controls]
    for (one, box), (other, another) in combinations(boxes, 2):
        both = box.intersected(another)
        if one.parentWidget() is other.parentWidget() and min(both.width(), both.height()) > 1:
            yield "overlap", one.accessibleName() or line(one), other.accessibleName() or line(other)


def in_dialogs(window: MainWindow, states: States) -> Iterator[tuple[str, tuple[str, ...]]]:
    """What is cut in those that stay open."""
    states.begin()
    opens = window.beside
    for show in (opens.edit_preferences, opens.show_batch, opens.share, opens.show_history, opens.show_about):
        show()
        QApplication.processEvents()
    for dialog in window.findChildren(QDialog):
        for fault in cuts([each for each in dialog.findChildren(QWidget) if each.isVisible()]):
            yield dialog.windowTitle(), fault


def main(folder: str, sizes: list[tuple[int, int]], names: list[str]) -> None:
    application()
    painted.begin()
    if LANGUAGE == "rtl":
        QApplication.setLayoutDirection(Qt.LayoutDirection.RightToLeft)
    window = build(Settings(window=""), in_process=True, journal=Journal(Path(folder)))
    window.show()
    window.desk.document.open_session(DEMO_SESSION, as_copy=True)
    wait_until_ready(window)
    window.setUpdatesEnabled(False)  # it is painted where painted texts are looked at
    states, told, count = States(window, window.desk.session), dict[str, list[str]](), 0
    for name in names:
        states.begin()
        getattr(states, name)()
        for stage in Stage:
            window.desk.view.show_stage(stage)
            for size in sizes:
                window.resize(*size)
                for _ in range(3):
                    QApplication.processEvents()
                count += 1
                for fault in faults(window, size):
                    told.setdefault(" | ".join(fault), []).append(f"{name} {stage.name} {size[0]}x{size[1]}")
    for title, fault in in_dialogs(window, states):
        told.setdefault(" | ".join(fault), []).append(title)
    sys.stdout.write(json.dumps({"count": count, "faults": told}) + "\n")
    window.desk.store.mark_saved(window.desk.store.history.session)
    window.close()


if __name__ == "__main__":
    main(
        sys.argv[1],
        [tuple(map(int, each.split("x"))) for each in sys.argv[3].split(",")],  # type: ignore[misc]
        sys.argv[4].split(",") if len(sys.argv) > 4 else NAMES,
    )
