"""Menus of files that are filled when they open: what was opened lately, and templates."""

from collections.abc import Callable
from functools import partial
from pathlib import Path

from PySide6.QtWidgets import QMenu, QWidget

from chronotome.files.names import path_from, shown
from chronotome.files.places import Settings
from chronotome.files.templates import template_names
from chronotome.ui.commands.session_files import SessionFiles
from chronotome.ui.controls.plain_text import tip
from chronotome.words import tr

LONGEST_FOLDER, FIRST_LETTERS = 40, 12


def _short(path: Path) -> str:
    """Its name, and the folder it lies in: from home on, without the middle where that is long."""
    folder = str(path.parent).replace(str(Path.home()), "~", 1)
    if len(folder) > LONGEST_FOLDER:
        folder = f"{folder[:FIRST_LETTERS]}…{folder[FIRST_LETTERS - LONGEST_FOLDER :]}"
    return f"{shown(path.name)}  ·  {shown(folder)}"


class RecentMenu(QMenu):
    """Recent sessions and recordings."""

    def __init__(self, files: SessionFiles, settings: Callable[[], Settings], parent: QWidget) -> None:
        super().__init__(tr("Open recent"), parent)
        self._files, self._settings = files, settings
        self.aboutToShow.connect(self._fill)

    def _fill(self) -> None:
        self.clear()
        settings = self._settings()
        for title, names in ((tr("Sessions"), settings.recent), (tr("Recordings"), settings.recent_files)):
            if names:
                self.addSection(title)
            for name in names:
                path = path_from(name)
                action = self.addAction(_short(path).replace("&", "&&"))
                action.setToolTip(tip(shown(str(path))))
                action.triggered.connect(lambda _checked=False, path=path: self._files.open_safely([path]))
        is_empty = not (settings.recent or settings.recent_files)
        if not is_empty:
            self.addSeparator()
            self.addAction(tr("Clear list"), self._files.forget_recent)
        self.setDisabled(is_empty)


class TemplatesMenu(QMenu):
    """Templates that are there now."""

    def __init__(self, files: SessionFiles, parent: QWidget) -> None:
        super().__init__(tr("New from template"), parent)
        self._files = files
        self.aboutToShow.connect(self._fill)

    def _fill(self) -> None:
        self.clear()
        for name in template_names():
            action = self.addAction(shown(name).replace("&", "&&"))
            action.triggered.connect(partial(self._files.keeping.use_template, name))
        self.setEnabled(not self.isEmpty())
