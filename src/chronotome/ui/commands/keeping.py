"""What the menu Session does beyond opening and saving: copies, packed files, templates, what is in it."""

from collections.abc import Callable
from functools import partial
from pathlib import Path

from PySide6.QtWidgets import QFileDialog, QInputDialog, QMenu, QWidget

from chronotome.errors import ChronotomeError
from chronotome.files.names import shown
from chronotome.files.pack import SUFFIX
from chronotome.files.templates import keep_template, read_template, template_names
from chronotome.ui.guarded import guard_overrides
from chronotome.ui.ui_context import UiContext
from chronotome.words import tr

PACKED = tr("Packed sessions (*{0})", SUFFIX)


class Keeping:
    """`when_safe` runs what closes the session, once edits that are not saved were asked about."""

    def __init__(
        self, window: QWidget, desk: UiContext, when_safe: Callable[[Callable[[], None]], None]
    ) -> None:
        self._window, self._desk, self._when_safe = window, desk, when_safe
        self.templates = QMenu(tr("New from template"), window)
        self.templates.aboutToShow.connect(self._fill)

    @property
    def _usual(self) -> Path:
        return (self._desk.document.folder or Path.home() / "session").parent

    def save_copy(self) -> None:
        usual = str(self._usual / tr("{0} copy", self._desk.document.title))
        name, _ = QFileDialog.getSaveFileName(self._window, tr("Save copy as folder"), usual)
        if name:
            self._desk.document.save_copy(Path(name))

    def pack(self) -> None:
        """The session, its history and all recordings as one file."""
        usual = str(self._usual / f"{self._desk.document.title}{SUFFIX}")
        name, _ = QFileDialog.getSaveFileName(self._window, tr("Pack session"), usual, PACKED)
        if name:
            self._desk.document.pack(Path(name))

    def unpack(self) -> None:
        name, _ = QFileDialog.getOpenFileName(self._window, tr("Unpack session"), str(self._usual), PACKED)
        if name:
            self.ask_where(Path(name))

    def ask_where(self, path: Path) -> None:
        """A packed session goes into a folder of its own before it is opened."""
        usual = str(path.with_suffix(""))
        name, _ = QFileDialog.getSaveFileName(
            self._window, tr("New folder for “{0}”", shown(path.name)), usual
        )
        if name:
            self._when_safe(lambda: self._desk.document.unpack(path, Path(name)))

    def ask_template(self) -> None:
        """What the session is without its sound, for new sessions to begin with."""
        name, is_said = QInputDialog.getText(
            self._window,
            tr("Save as template"),
            tr("A template keeps tempo, metre, grooves, sections and track\nsettings, but no audio. Name:"),
            text=self._desk.document.title,
        )
        if is_said and name.strip():
            kept = keep_template(name, self._desk.session)
            self._desk.say(tr("Saved template “{0}”. Open it with File > New from template.", kept))

    def use_template(self, name: str) -> None:
        session = read_template(name)
        self._when_safe(lambda: self._desk.document.use_template(session))

    def _fill(self) -> None:
        """Templates that are there now."""
        self.templates.clear()
        for name in template_names():
            action = self.templates.addAction(shown(name).replace("&", "&&"))
            action.triggered.connect(partial(self._on_template, name))
        self.templates.setEnabled(not self.templates.isEmpty())

    def _on_template(self, name: str) -> None:
        try:
            self.use_template(name)
        except ChronotomeError as error:
            self._desk.tasks.error.emit(str(error))

    def show_information(self) -> None:
        from chronotome.ui.dialogs.information import InformationDialog  # noqa: PLC0415 - seldom wanted

        guard_overrides()
        InformationDialog(self._desk, self._window).open()
