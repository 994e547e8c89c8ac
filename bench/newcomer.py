"""Forty things that a newcomer wants, by mouse and menus, and by keys: how many gestures each takes.

PYTHONPATH=src python -m bench.newcomer [PART OF A TASK]     in a real window: xvfb-run -a before it
A gesture is a click, a drag, a notch of the wheel, a key with what is held beside it, or a typed word.
"""

import sys
from collections.abc import Callable, Sequence
from dataclasses import dataclass, field
from pathlib import Path
from tempfile import TemporaryDirectory

from PySide6.QtCore import QPoint, QPointF, Qt, QTimer
from PySide6.QtGui import QAction, QContextMenuEvent, QKeySequence, QWheelEvent
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QApplication, QDialog, QLineEdit, QMenu, QWidget
from shiboken6 import isValid

from chronotome.files.journal import Journal
from chronotome.files.places import Settings
from chronotome.session.model import Session
from chronotome.ui.application import application, build, wait_until_ready
from chronotome.ui.commands.session_files import DEMO_SESSION
from chronotome.ui.controls.value_slider import ValueSlider
from chronotome.ui.stages.check_rows import CheckRows
from chronotome.ui.stages.rework import ReworkTray
from chronotome.ui.state.view_state import Stage
from chronotome.ui.timeline.drift_lane import DriftLane
from chronotome.ui.timeline.lane import Lane
from chronotome.ui.window.main_window import MainWindow

LEFT, NONE = Qt.MouseButton.LeftButton, Qt.KeyboardModifier.NoModifier
ROLL_PAUSE = 40
"""Milliseconds between a dialog that opens and what is typed into it."""
OPENS = 60
"""Milliseconds in which a menu within a menu may open."""
Place = tuple[float, float]


@dataclass
class Hand:
    """Someone at the window; counts what they do."""

    window: MainWindow
    gestures: int = 0
    folder: Path = field(default_factory=Path)

    @property
    def session(self) -> Session:
        return self.window.desk.session

    def settle(self) -> None:
        QTest.qWait(30)
        wait_until_ready(self.window)

    # With the mouse

    def click(self, widget: QWidget, place: Place | None = None) -> None:
        self.gestures += 1
        where = widget.rect().center() if place is None else QPoint(*map(round, place))
        QTest.mouseClick(widget, LEFT, NONE, where)

    def double_click(self, widget: QWidget, place: Place) -> None:
        self.gestures += 1
        QTest.mouseDClick(widget, LEFT, NONE, QPoint(*map(round, place)))

    def drag(self, widget: QWidget, start: Place, end: Place) -> None:
        self.gestures += 1
        first, last = QPointF(*start), QPointF(*end)
        QTest.mousePress(widget, LEFT, NONE, first.toPoint())
        for share in (0.2, 0.6, 1.0):
            QTest.mouseMove(widget, (first + (last - first) * share).toPoint())
            QTest.qWait(5)
        QTest.mouseRelease(widget, LEFT, NONE, last.toPoint())

    def wheel(self, widget: QWidget, notches: int) -> None:
        middle = QPointF(widget.rect().center())
        for _ in range(abs(notches)):
            self.gestures += 1
            where, step = QPointF(widget.mapToGlobal(middle)), QPoint(0, 120 if notches > 0 else -120)
            button, phase = Qt.MouseButton.NoButton, Qt.ScrollPhase.NoScrollPhase
            QApplication.sendEvent(
                widget, QWheelEvent(middle, where, QPoint(), step, button, NONE, phase, False)
            )

    def menu(self, *words: str) -> None:
        """A menu by its name, what is in it, and so on; each is a click."""
        bar = self.window.menuBar()
        action = next(each for each in bar.actions() if _plain(each.text()) == words[0])
        self.gestures += 1
        QTest.mouseClick(bar, LEFT, NONE, bar.actionGeometry(action).center())
        self._through(words[1:])

    def right(self, lane: Lane, place: Place, *words: str) -> None:
        """A right click in a lane, and what is chosen there."""
        self.gestures += 1
        point = lane.mapTo(self.window, QPoint(*map(round, place)))
        where = self.window.mapToGlobal(point)
        QApplication.sendEvent(self.window, QContextMenuEvent(QContextMenuEvent.Reason.Mouse, point, where))
        self._through(words)

    def _through(self, words: Sequence[str]) -> None:
        for each in words:
            popup, entry = self._offered(each)
            assert entry.isEnabled(), f"{each} is grey"
            self.gestures += 1
            place, inner = popup.actionGeometry(entry).center(), entry.menu()
            QTest.mouseMove(popup, place)
            if inner is not None:  # it opens under the pointer by itself; a click would close it again
                QTest.qWait(OPENS)
            if not isinstance(inner, QMenu) or not inner.isVisible():
                QTest.mouseClick(popup, LEFT, NONE, place)

    @staticmethod
    def _offered(words: str) -> tuple[QMenu, QAction]:
        """The menu that is open, and an entry of it; a window system may take a moment to open it."""
        for _ in range(100):
            QTest.qWait(5)
            popup = QApplication.activePopupWidget()
            if isinstance(popup, QMenu):
                for entry in popup.actions():
                    if _plain(entry.text()) == words:
                        return popup, entry
        raise AssertionError(f"nobody offers {words}")

    # With keys

    def press(self, *keys: str) -> None:
        for each in keys:
            self.gestures += 1
            combination = QKeySequence.fromString(each)[0]  # type: ignore[index]  # as sequences are
            target = QApplication.focusWidget() or self.window
            QTest.keyClick(target, combination.key(), combination.keyboardModifiers())
            QTest.qWait(5)

    def find(self, words: str) -> None:
        """F3, a name, Enter."""
        self.answer(words)
        self.press("F3")

    def answer(self, words: str | None, *, accept: bool = True) -> None:
        """What is typed into the next dialog that asks, and Enter; None: only Enter."""
        self.gestures += (words is not None) + 1

        def act() -> None:
            dialog = QApplication.activeModalWidget()
            if not isinstance(dialog, QDialog):
                QTimer.singleShot(ROLL_PAUSE, act)
                return
            line = dialog.findChild(QLineEdit, "fileNameEdit") or dialog.findChild(QLineEdit)
            if words is not None and line is not None:
                line.setFocus()
                line.setText(words)  # as if it were pasted: lists that complete it come and go as one types
            self._confirm(dialog, line or dialog, Qt.Key.Key_Return if accept else Qt.Key.Key_Escape)

        QTimer.singleShot(ROLL_PAUSE, act)

    def _confirm(self, dialog: QDialog, line: QWidget, key: Qt.Key) -> None:
        """Until it is closed: a list that completes names may take the first one."""
        if not isValid(dialog) or not dialog.isVisible():
            return
        QTimer.singleShot(150, lambda: self._confirm(dialog, line, key))
        popup = QApplication.activePopupWidget()
        if popup is not None:
            popup.close()
        QTest.keyClick(line, key)

    # Places

    def slider(self, stage: Stage, name: str) -> ValueSlider:
        sliders = self.window.trays[stage].findChildren(ValueSlider)
        return next(each for each in sliders if each.accessibleName() == name)

    def set_slider(self, stage: Stage, name: str, value: float) -> None:
        slider = self.slider(stage, name)
        start, end = ((slider.x_of(each), 32.0) for each in (slider.value, value))
        self.drag(slider, start, end)

    def hit(self, number: int) -> tuple[Lane, float, float]:
        """The drift lane, and where a hit is in it as it was played."""
        lane = self.window.timeline.evidence["drift"]
        assert isinstance(lane, DriftLane)
        shown = lane.shown
        assert shown is not None
        xs, played, _ = lane._points(shown, lane._scale(shown))
        return lane, float(xs[number]), float(played[number])

    def bar_x(self, bar: float) -> float:
        beat = (bar - 1) * self.session.metre.first.bar
        return self.window.timeline.ruler.x_of(self.session.frame_of(beat))

    def notch_x(self, number: int) -> float:
        wave = self.window.timeline.wave
        shown = wave.shown
        assert shown is not None
        return float(wave.xs_of(shown.onset_frames()[shown.counts])[number])


def _plain(text: str) -> str:
    return text.partition("\t")[0].replace("&", "").removesuffix("…")


Do = Callable[[Hand], None]


@dataclass(frozen=True)
class Task:
    """What is wanted, both ways, and whether it is done; `stage` is where one is before it."""

    wanted: str
    mouse: Do
    keys: Do
    is_done: Callable[[Hand, Session], bool]
    stage: Stage = Stage.TIGHTEN
    before: Do = lambda _hand: None
    """What somebody has done already; not counted."""


def _clip_chosen(hand: Hand) -> None:
    view = hand.window.desk.view
    assert view.chosen.place is not None
    view.chosen.choose_clips((view.chosen.place,))


def _go_to_bar(hand: Hand, bar: float) -> None:
    session = hand.session
    hand.window.desk.transport.go_to(session.frame_of((bar - 1) * session.metre.first.bar))


def _at_bar_three(hand: Hand) -> None:
    _go_to_bar(hand, 3)


def _moved_earlier(hand: Hand, before: Session) -> bool:
    take = hand.session.tracks[0].clips[0].take
    return take != before.tracks[0].clips[0].take and bool(take.touches)


def _clips(session: Session) -> int:
    return len(session.tracks[0].clips)


def _mid(hand: Hand) -> Place:
    return hand.bar_x(3.1), 8.0


def _loop_bars(hand: Hand) -> None:
    ruler = hand.window.timeline.ruler
    hand.drag(ruler, (hand.bar_x(3) + 1, 8), (hand.bar_x(5) + 1, 8))


def _menu(*words: str) -> Do:
    return lambda hand: hand.menu(*words)


def _press(*keys: str) -> Do:
    return lambda hand: hand.press(*keys)


def _find(words: str) -> Do:
    return lambda hand: hand.find(words)


def _both(*steps: Do) -> Do:
    def do(hand: Hand) -> None:
        for step in steps:
            step(hand)

    return do


def _hit_dragged(hand: Hand) -> None:
    lane, x, y = hand.hit(1)
    hand.drag(lane, (x, y), (x, y - 30))


def _faster_by_mouse(hand: Hand) -> None:
    field = hand.window.transport.tempo
    hand.click(field)
    hand.wheel(field, 3)
    hand.click(hand.window.timeline.wave, (300, 60))


def _roll_by_mouse(hand: Hand) -> None:
    wave = hand.window.timeline.wave
    hand.menu("Rework", "Slice", "Slice at onsets")
    hand.settle()
    hand.click(wave, (hand.bar_x(8.02), 60))
    hand.right(wave, (hand.bar_x(8.02), 60), "Toggle roll")


def _roll_by_keys(hand: Hand) -> None:
    hand.press("Ctrl+H")
    hand.settle()
    hand.press("Left", "Shift+R")


def _rolled(hand: Hand, _before: Session) -> bool:
    slices = hand.session.tracks[0].clips[0].take.slices
    return slices is not None and bool(slices.rolls)


def _saved_as(hand: Hand) -> None:
    hand.answer(str(hand.folder / "Night ferry"))


def _is_saved(hand: Hand, _before: Session) -> bool:
    return (hand.folder / "Night ferry" / "session.json").is_file()


def _exported(hand: Hand, _before: Session) -> bool:
    return (hand.folder / "mix.wav").is_file()


def _shows(kind: str) -> Callable[[Hand, Session], bool]:
    def is_shown(_hand: Hand, _before: Session) -> bool:
        tops = [
            each for each in QApplication.topLevelWidgets() if isinstance(each, QDialog) and each.isVisible()
        ]
        found = any(type(each).__name__ == kind for each in tops)
        for each in tops:
            each.close()
        return found

    return is_shown


def _strength(hand: Hand, _before: Session) -> bool:
    return hand.session.tracks[0].tighten.strength == 1.0


def _export_click(hand: Hand) -> None:
    tray = hand.window.trays[Stage.EXPORT]
    hand.click(next(b for b in hand.window.actions_table.buttons("export") if tray.isAncestorOf(b)))


def _open_track(hand: Hand) -> None:
    """What lies below Track in the tray."""
    hand.window.findChildren(ReworkTray)[0].track.setChecked(True)


def _type_name(hand: Hand) -> None:
    hand.gestures += 2
    line = QApplication.focusWidget()
    assert isinstance(line, QLineEdit)
    line.selectAll()
    QTest.keyClicks(line, "Bins")
    QTest.keyClick(line, Qt.Key.Key_Return)


TASKS = (
    Task(
        "hear it",
        lambda h: h.click(h.window.transport.play),
        _press("Space"),
        lambda h, _: h.window.desk.transport.is_playing,
    ),
    Task(
        "hear it as it was played",
        lambda h: h.click(h.window.transport.listen, (40, 14)),
        _press("A"),
        lambda h, _: h.window.desk.transport.side.name == "AS_PLAYED",
    ),
    Task(
        "play bars 3 and 4 over and over",
        _loop_bars,
        _press("Shift+L"),
        lambda h, _: h.session.loop is not None and h.session.is_looping,
        before=lambda h: h.window.commands.hits.sweep(*(h.session.frame_of(x) for x in (8.0, 16.0))),
    ),
    Task("loop all of it", _menu("Play", "Loop"), _press("L"), lambda h, _: h.session.is_looping),
    Task(
        "hear a metronome",
        lambda h: h.click(h.window.transport._buttons["click"]),
        _press("C"),
        lambda h, b: h.session.click.is_on != b.click.is_on,
    ),
    Task(
        "double the song's tempo",
        _menu("Mark and fit", "Song tempo", "Double song tempo"),
        _find("double song tempo"),
        lambda h, _: h.session.tempo.at(0.0) == 184.0,
        Stage.FIT,
    ),
    Task(
        "a little faster",
        _faster_by_mouse,
        _find("tempo 95"),
        lambda h, b: b.tempo.at(0.0) < h.session.tempo.at(0.0) <= 96,
    ),
    Task(
        "put the second hit a little earlier",
        _hit_dragged,
        _press("Right", "Right", "Up"),
        _moved_earlier,
    ),
    Task(
        "pull every hit onto its line",
        lambda h: h.set_slider(Stage.TIGHTEN, "Strength", 100),
        _find("strength 100"),
        _strength,
    ),
    Task(
        "give it a swing of 60 %",
        lambda h: h.set_slider(Stage.TIGHTEN, "Swing", 60),
        _find("swing 60"),
        lambda h, _: round(h.session.tracks[0].tighten.swing) == 60,
    ),
    Task(
        "leave hits alone that are near enough",
        lambda h: h.set_slider(Stage.TIGHTEN, "Tolerance", 10),
        _find("tolerance 10"),
        lambda h, _: round(h.session.tracks[0].tighten.leave_alone) == 10,
    ),
    Task(
        "a finer grid",
        _menu("Tighten", "Grid and scope", "Finer grid"),
        _find("finer grid"),
        lambda h, b: h.session.tracks[0].tighten.grid != b.tracks[0].tighten.grid,
    ),
    Task(
        "take the feel of this track as a groove",
        _menu("Tighten", "Groove", "Extract groove"),
        _press("Shift+G"),
        lambda h, b: len(h.session.grooves) > len(b.grooves),
    ),
    Task(
        "go to the next place to check",
        lambda h: h.click(h.window.findChildren(CheckRows)[0].shown[0]),
        _press("N"),
        lambda h, _: h.window.desk.view.chosen.onset is not None,
    ),
    Task(
        "why is this red?",
        _menu("Help", "Symbols and mouse actions"),
        _press("Shift+F1"),
        _shows("HelpDialog"),
    ),
    Task("read the manual", _menu("Help", "Manual"), _press("F1"), _shows("ManualDialog")),
    Task(
        "add an onset that was missed",
        lambda h: h.right(h.window.timeline.wave, (h.bar_x(2.06), 120), "Add onset"),
        _both(_press("]", "I")),
        lambda h, b: (
            len(h.session.recordings[0].onsets) > len(b.recordings[0].onsets)
            or h.session.recordings[0].onsets != b.recordings[0].onsets
        ),
        Stage.MARK,
    ),
    Task(
        "an onset too many",
        lambda h: h.right(h.window.timeline.wave, (h.notch_x(3), 4), "Delete"),
        _press("Right", "Delete"),
        lambda h, b: h.session.recordings != b.recordings,
        Stage.MARK,
    ),
    Task(
        "only the strong hits",
        lambda h: h.set_slider(Stage.MARK, "Threshold", 70),
        _find("threshold 70"),
        lambda h, _: h.session.recordings[0].threshold >= 69,
        Stage.MARK,
    ),
    Task(
        "this is beat one",
        lambda h: h.right(h.window.timeline.wave, (h.bar_x(3), 100), "Set beat one"),
        _press("B"),
        lambda h, b: h.session.recordings != b.recordings or h.session.tempo != b.tempo,
        Stage.FIT,
        _at_bar_three,
    ),
    Task(
        "it is heard twice as fast as it is",
        _menu("Mark and fit", "Recording tempo", "Halve recording tempo"),
        _find("halve recording tempo"),
        lambda h, b: h.session.recordings != b.recordings or h.session != b,
        Stage.FIT,
    ),
    Task(
        "cut it here",
        lambda h: h.right(h.window.timeline.wave, (h.bar_x(3), 8), "Split here"),
        _press("X"),
        lambda h, b: _clips(h.session) > _clips(b),
        Stage.REWORK,
        _at_bar_three,
    ),
    Task(
        "once more behind it",
        lambda h: h.right(h.window.timeline.wave, _mid(h), "Duplicate"),
        _press("Ctrl+D"),
        lambda h, b: _clips(h.session) > _clips(b),
        Stage.REWORK,
        _clip_chosen,
    ),
    Task(
        "backwards",
        lambda h: h.right(h.window.timeline.wave, _mid(h), "Reverse"),
        _press("R"),
        lambda h, _: h.session.tracks[0].clips[0].take.mirror is not None,
        Stage.REWORK,
        _clip_chosen,
    ),
    Task(
        "a clip is not to be heard",
        lambda h: h.right(h.window.timeline.wave, _mid(h), "Mute clip"),
        _press("Shift+M"),
        lambda h, _: h.session.tracks[0].clips[0].is_muted,
        Stage.REWORK,
        _clip_chosen,
    ),
    Task(
        "slice it into its hits",
        _menu("Rework", "Slice", "Slice at onsets"),
        _press("Ctrl+H"),
        lambda h, _: h.session.tracks[0].clips[0].take.slices is not None,
        Stage.REWORK,
    ),
    Task("make the last hit a roll", _roll_by_mouse, _roll_by_keys, _rolled, Stage.REWORK),
    Task(
        "play its hits from keys",
        _menu("Rework", "Kit", "Create kit from hits"),
        _press("Ctrl+U"),
        lambda h, b: len(h.session.kits) > len(b.kits),
        Stage.REWORK,
    ),
    Task(
        "write a pattern of it",
        _menu("Rework", "Pattern", "Convert clip to pattern"),
        _press("Ctrl+P"),
        lambda h, b: len(h.session.patterns) > len(b.patterns),
        Stage.REWORK,
    ),
    Task(
        "take that back",
        _menu("Edit", "Undo Mute track"),
        _press("Ctrl+Z"),
        lambda h, _: not h.session.tracks[0].is_muted,
        before=lambda h: h.window.actions_table.run("mute"),
    ),
    Task(
        "silence this track",
        lambda h: h.click(h.window.timeline.wave.buttons._mute),
        _press("M"),
        lambda h, _: h.session.tracks[0].is_muted,
    ),
    Task(
        "hear it alone",
        lambda h: h.click(h.window.timeline.wave.buttons._solo),
        _press("S"),
        lambda h, _: h.session.tracks[0].is_solo,
    ),
    Task(
        "a decibel louder",
        lambda h: h.set_slider(Stage.REWORK, "Level", 2),
        _press("Ctrl+Up"),
        lambda h, b: h.session.tracks[0].level > b.tracks[0].level,
        Stage.REWORK,
        _open_track,
    ),
    Task(
        "work on the next track",
        lambda h: h.click(h.window.timeline.context_lanes[0], (30, 8)),
        _press("PgDown"),
        lambda h, _: h.window.desk.view.chosen.focused is h.session.tracks[1],
    ),
    Task(
        "call it something else",
        _both(lambda h: h.double_click(h.window.timeline.wave, (30, 14)), _type_name),
        _both(_press("Shift+F2"), _type_name),
        lambda h, _: h.session.tracks[0].name == "Bins",
    ),
    Task(
        "this track away",
        _menu("Track", "Remove track"),
        _press("Ctrl+Delete"),
        lambda h, b: len(h.session.tracks) < len(b.tracks),
    ),
    Task(
        "name this part of the song",
        _both(lambda h: h.answer("Verse"), _menu("Play", "Sections", "Add section")),
        _both(lambda h: h.answer("Verse"), _press("Ctrl+M")),
        lambda h, b: len(h.session.sections) > len(b.sections),
    ),
    Task(
        "see it closer",
        lambda h: h.menu("View", "Zoom in"),
        _press("+"),
        lambda h, _: not h.window.desk.view.sight.is_whole,
    ),
    Task(
        "see all of it again",
        _menu("View", "Zoom to fit"),
        _press("F"),
        lambda h, _: h.window.desk.view.sight.is_whole,
        before=lambda h: h.window.desk.view.sight.zoom(4.0),
    ),
    Task(
        "give the lanes all the room",
        _menu("View", "Large lanes"),
        _press("F9"),
        lambda h, _: h.window.is_large,
    ),
    Task(
        "a dark window",
        _menu("View", "Dark theme"),
        _press("Ctrl+T"),
        lambda h, _: h.window.desk.view.theme.is_dark,
    ),
    Task(
        "save it under another name",
        _both(_saved_as, _menu("File", "Save as")),
        _both(_saved_as, _press("Ctrl+Shift+S")),
        _is_saved,
    ),
    Task(
        "a file for others",
        _both(lambda h: h.answer(str(h.folder / "mix.wav")), _export_click),
        _both(lambda h: h.answer(str(h.folder / "mix.wav")), _press("Ctrl+E")),
        _exported,
        Stage.EXPORT,
    ),
)


def _close_all() -> None:
    """Menus and dialogs that a failed way left."""
    for _ in range(20):
        left = QApplication.activePopupWidget() or QApplication.activeModalWidget()
        if left is None:
            return
        left.close()


def begin(hand: Hand, demo: Session, stage: Stage) -> None:
    """As the demo is opened, with the first track in the tall lane."""
    _close_all()
    window, desk = hand.window, hand.window.desk
    desk.transport.stop()
    desk.preferences.keep(theme="day")
    desk.transport.go_to(0)
    window.usual_layout()
    window.select_none()
    desk.transport.listen(type(desk.transport.side).EDITED)
    desk.store.mark_saved(desk.store.history.session)
    desk.store.apply(lambda _session: demo, "Begin")
    desk.view.chosen.focus(demo.tracks[0].id)
    desk.view.sight.fit()
    desk.view.show_stage(stage)
    window.activateWindow()
    QTest.qWaitForWindowActive(window, 500)
    window.setFocus()
    hand.settle()


def run(hand: Hand, task: Task, way: Do, demo: Session) -> int:
    """The gestures that it took; fails where it was not done."""
    begin(hand, demo, task.stage)
    task.before(hand)
    hand.settle()
    before, hand.gestures = hand.session, 0
    way(hand)
    for _ in range(100):
        QTest.qWait(20)
        wait_until_ready(hand.window)
        if task.is_done(hand, before):
            return hand.gestures
    raise AssertionError(f"not done: {task.wanted}")


def counted(folder: Path, only: str = "") -> list[tuple[str, int | None, int | None]]:
    """What is wanted, and the gestures by mouse and by keys; None where it was not done, and says why."""
    application()
    window = build(Settings(), output="simulated", journal=Journal(folder / "journals"))
    window.resize(1280, 800)
    window.show()
    window.desk.document.open_session(DEMO_SESSION, as_copy=True)
    wait_until_ready(window)
    demo, rows = window.desk.session, []
    for number, task in enumerate(each for each in TASKS if only in each.wanted):
        counts: list[int | None] = []
        for name, way in (("mouse", task.mouse), ("keys", task.keys)):
            hand = Hand(window, folder=folder / f"{number}-{name}")
            hand.folder.mkdir()
            try:
                counts.append(run(hand, task, way, demo))
            except Exception as error:  # noqa: BLE001 - the others are counted all the same
                counts.append(None)
                print(f"{task.wanted}, {name}: {type(error).__name__} {error}", file=sys.stderr)
                _close_all()
        rows.append((task.wanted, counts[0], counts[1]))
        print(f"| {task.wanted} | {counts[0] or '-'} | {counts[1] or '-'} |", flush=True)
    window.desk.store.mark_saved(window.desk.store.history.session)
    window.close()
    window.deleteLater()
    return rows


def main(only: str = "") -> int:
    with TemporaryDirectory() as folder:
        print("| wanted | by mouse | by keys |\n|---|---|---|")
        rows = counted(Path(folder), only)
    return sum(mouse is None or keys is None for _, mouse, keys in rows)


if __name__ == "__main__":
    sys.exit(main(*sys.argv[1:2]))
