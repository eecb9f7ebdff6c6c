package abbex.app.api;

import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The published interface describes itself (OpenAPI 3.1), open to everybody. */
@RestController
class DocumentController {
    @GetMapping("/api/v1/openapi.json")
    ResponseEntity<Resource> document() {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .body(new ClassPathResource("openapi/v1.json"));
    }
}
