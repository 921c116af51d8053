package org.undanus.server.report;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringReader;
import java.util.List;
import java.util.Optional;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.undanus.core.drawing.Element.Weight;
import org.undanus.core.drawing.Role;
import org.undanus.core.drawing.Sheet.Anchor;
import org.undanus.core.drawing.Sheet.Kind;
import org.undanus.core.judgement.Verdict;
import org.undanus.view.FigureView;
import org.undanus.view.FigureView.FigurePiece;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.xml.sax.InputSource;

class FigurePrintTest {
    private static final FigureView.MeasureView MEASURE = new FigureView.MeasureView(0, 0, 1, 1, 0, 0, 1, 1);

    private static FigurePiece piece(Kind kind, Role role, String points, String text, Optional<Verdict> verdict) {
        return new FigurePiece(
                kind,
                role,
                points,
                5,
                text,
                Weight.PLAIN,
                Anchor.MIDDLE,
                verdict,
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    private static FigureView figure(FigurePiece... pieces) {
        return new FigureView("Roof", "Said.", List.of(), 620, 210, MEASURE, List.of(pieces));
    }

    private static String printed(FigurePiece... pieces) {
        return FigurePrint.html(figure(pieces));
    }

    @Test
    void forOtherProgramsItIsOneSvgWithItsWords() throws Exception {
        Document svg = DocumentBuilderFactory.newInstance()
                .newDocumentBuilder()
                .parse(new InputSource(new StringReader(FigurePrint.svg(figure(
                        piece(Kind.AREA, Role.CABINET, "0.0,0.0 9.0,0.0 9.0,9.0", "", Optional.of(Verdict.FAILS)),
                        piece(Kind.LINE, Role.GHOST, "1.0,2.0 3.0,4.0", "", Optional.empty()),
                        piece(Kind.WORDS, Role.READ, "30.0,40.0", "</text><script>", Optional.empty()))))));
        assertThat(svg.getElementsByTagName("polygon").getLength()).isEqualTo(1);
        assertThat(((Element) svg.getElementsByTagName("polyline").item(0)).getAttribute("stroke-dasharray"))
                .isEqualTo("6 4");
        assertThat(svg.getElementsByTagName("text").item(0).getTextContent()).isEqualTo("</text><script>");
        assertThat(svg.getElementsByTagName("script").getLength()).isZero();
    }

    @Test
    void everyPieceIsPrintedWhereItWasLaid() {
        String html = printed(
                piece(Kind.LINE, Role.CURVE, "1.0,2.0 3.0,4.0", "", Optional.empty()),
                piece(Kind.AREA, Role.BODY, "0.0,0.0 9.0,0.0 9.0,9.0", "", Optional.empty()),
                piece(Kind.CIRCLE, Role.OUTLINE, "50.0,60.0", "", Optional.empty()),
                piece(Kind.WORDS, Role.READ, "300.0,100.0", "800 mm", Optional.empty()));
        assertThat(html)
                .contains("width:620px;height:210px", "<polyline points=\"1.0,2.0 3.0,4.0\"")
                .contains("<polygon points=\"0.0,0.0 9.0,0.0 9.0,9.0\"")
                .contains("cx=\"50.0\" cy=\"60.0\" r=\"5.0\"")
                .contains("left:100.0px;top:88.0px;width:400px;text-align:center", ">800 mm</div>");
    }

    @Test
    void whatIsOpenHasTheHeavierLine() {
        assertThat(printed(piece(Kind.LINE, Role.CURVE, "1.0,2.0 3.0,4.0", "", Optional.of(Verdict.FAILS))))
                .contains("stroke-width=\"2.2\"");
        assertThat(printed(piece(Kind.LINE, Role.CURVE, "1.0,2.0 3.0,4.0", "", Optional.of(Verdict.MEETS))))
                .contains("stroke-width=\"1.1\"");
    }

    @Test
    void wordsAreNoMarkup() {
        assertThat(printed(piece(Kind.WORDS, Role.READ, "1.0,2.0", "<b>&", Optional.empty())))
                .doesNotContain("<b>")
                .contains("&lt;b&gt;&amp;");
    }
}
