"""Edits of a session that was not closed properly: offered back, and nothing else lost by it."""

from collections.abc import Sequence
from pathlib import Path

from PySide6.QtCore import Qt
from PySide6.QtWidgets import QAbstractButton, QMessageBox

from chronotome.errors import ChronotomeError
from chronotome.files.audio_file import header_of
from chronotome.files.journal import Recovered, discard, left_behind, recover, set_aside
from chronotome.files.takes import discard as discard_take
from chronotome.files.takes import forget
from chronotome.files.takes import left_behind as left_behind_takes
from chronotome.ui.controls.plain_text import question
from chronotome.ui.state.figures import clock, counted
from chronotome.ui.window.main_window import MainWindow
from chronotome.words import tr


def offer_recovery(window: MainWindow, files: Sequence[Path] = ()) -> bool:
    """Ask what becomes of kept edits, and of files that are to be opened; False where nothing was kept.

    Files that were named stay named: they are opened whatever is chosen, but for 'bring back only'.
    """
    found = _newest_kept(window)
    if found is None:
        return False
    name = found.history.session.name
    named = tr(" You are opening {0}.", counted(len(files), "file")) if files else ""
    kept = counted(found.edits, "edit")
    more = tr("Chronotome recovered {0} made since the last save.{1} Restore them?", kept, named)
    box = question(window, tr("“{0}” was not closed properly", name), more)
    roles = QMessageBox.ButtonRole
    both = box.addButton(tr("Restore and add files"), roles.AcceptRole) if files else None
    only = box.addButton(tr("Restore only") if files else tr("Restore"), roles.AcceptRole)
    later = box.addButton(tr("Ask later"), roles.RejectRole)
    discarded = box.addButton(tr("Discard"), roles.DestructiveRole)
    box.setEscapeButton(later)
    box.setDefaultButton(both or only)
    box.setAttribute(Qt.WidgetAttribute.WA_DeleteOnClose)

    def decide(button: QAbstractButton) -> None:
        if button in {both, only}:
            window.restore(found)
        if button is discarded:
            discard(found.journal, *found.older)
        if files and button is not only:
            window.open(list(files))

    box.buttonClicked.connect(decide)
    box.finished.connect(lambda _result: offer_takes(window))
    box.open()
    return True


def offer_takes(window: MainWindow) -> bool:
    """Ask what becomes of a take that is in no saved session; False: there is none."""
    found = next(iter(left_behind_takes()), None)
    if found is None:
        return False
    try:
        rate, frames, _ = header_of(found.path) if found.path.stat().st_size else (1, 0, 0)
    except ChronotomeError as error:
        forget(found.path)
        window.tell(str(error))
        return offer_takes(window)
    if not frames:  # it was ended before anything came
        discard_take(found.path)
        return offer_takes(window)
    more = tr("{0} of audio are on disk. Restore the take at its place?", clock(frames / rate))
    box = question(window, tr("“{0}” was recorded but not saved in a session", found.about.track), more)
    roles = QMessageBox.ButtonRole
    brought = box.addButton(tr("Restore"), roles.AcceptRole)
    later = box.addButton(tr("Ask later"), roles.RejectRole)
    discarded = box.addButton(tr("Discard"), roles.DestructiveRole)
    box.setEscapeButton(later)
    box.setDefaultButton(brought)
    box.setAttribute(Qt.WidgetAttribute.WA_DeleteOnClose)

    def decide(button: QAbstractButton) -> None:
        if button is brought:
            window.desk.taking.bring(found)
        if button is discarded:
            discard_take(found.path)
        if button is not later:
            offer_takes(window)

    box.buttonClicked.connect(decide)
    box.open()
    return True


def _newest_kept(window: MainWindow) -> Recovered | None:
    """The newest journal with edits in it; empty ones are cleared away, damaged ones set aside and named."""
    for path in left_behind():
        try:
            found = recover(path)
        except ChronotomeError as error:
            aside = set_aside(path)
            if aside is not None:
                window.tell(
                    tr("{0} The damaged file was moved to “{1}” in “{2}”.", error, aside.name, aside.parent)
                )
            continue
        if found is not None:
            return found
        discard(path)
    return None
