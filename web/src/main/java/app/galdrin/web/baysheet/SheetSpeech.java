package app.galdrin.web.baysheet;

import app.galdrin.web.marking.EvidenceWords;
import app.galdrin.web.words.StepWords;
import app.galdrin.web.words.TargetWords;
import app.galdrin.web.words.Words;

/** The words a sheet is made with. */
public record SheetSpeech(Words words, StepWords names, TargetWords targets, EvidenceWords evidence) {}
